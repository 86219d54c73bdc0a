import type { Vector } from '../arc/vector';
import type { StandInName } from '../model/schema';

/** Tones a stand-in is drawn in; the interface gives them their colours by theme. */
export type Tone = 'ink' | 'paper' | 'brass';

/**
 * A stand-in figure, drawn for this project, facing right. Ghosts show its silhouette only; the
 * details come on top of it where the figure itself stands.
 */
export interface StandIn {
  readonly label: string;
  /** Extent of the drawing; path data lies within 0…width, 0…height. */
  readonly width: number;
  readonly height: number;
  /** The spot that sits on the arc and about which the figure turns. */
  readonly pivot: Vector;
  readonly silhouette: string;
  readonly details: readonly { readonly d: string; readonly tone: Tone }[];
}

export const STAND_INS: Readonly<Record<StandInName, StandIn>> = {
  peg: {
    label: 'Wooden peg',
    width: 60,
    height: 100,
    pivot: { x: 30, y: 100 },
    silhouette:
      'M30 0C41 0 49 8 49 19C49 26 46 31 41 35C51 42 56 58 56 100L4 100C4 58 9 42 19 35C14 31 11 26 11 19C11 8 19 0 30 0Z',
    details: [
      {
        d: 'M38 13C40 13 41.500 14.500 41.500 16.500C41.500 18.500 40 20 38 20C36 20 34.500 18.500 34.500 16.500C34.500 14.500 36 13 38 13Z',
        tone: 'paper',
      },
      { d: 'M7.500 76L52.500 76L53.500 82L6.500 82Z', tone: 'brass' },
    ],
  },
  disc: {
    label: 'Disc with a pointer',
    width: 100,
    height: 100,
    pivot: { x: 50, y: 50 },
    silhouette:
      'M50 2C76.500 2 98 23.500 98 50C98 76.500 76.500 98 50 98C23.500 98 2 76.500 2 50C2 23.500 23.500 2 50 2Z',
    details: [{ d: 'M60 32L88 50L60 68Z', tone: 'paper' }],
  },
  lantern: {
    label: 'Lantern',
    width: 70,
    height: 110,
    pivot: { x: 35, y: 4 },
    silhouette:
      'M31 0L39 0L39 10C50 12 56 20 58 30L64 34L64 40L58 40L58 88L66 94L66 104L4 104L4 94L12 88L12 40L6 40L6 34L12 30C14 20 20 12 31 10Z',
    details: [
      { d: 'M19 42L51 42L51 86L19 86Z', tone: 'paper' },
      {
        d: 'M36 50C43 58 46 64 46 70C46 77 41 82 35.500 82C30 82 25 77 25 70C25 64 31 60 36 50Z',
        tone: 'brass',
      },
    ],
  },
  'harbour-master': {
    label: 'Harbour master',
    width: 76,
    height: 130,
    pivot: { x: 36, y: 130 },
    silhouette:
      'M20 16L22 4L54 4L56 16L66 18L66 23L55 23C56 26 56 29 55 32C53 40 48 45 41 47C56 52 63 66 66 98L70 122L70 130L4 130L6 98C8 66 14 52 30 47C24 44 20 39 19 32C18 29 18 26 19 23L14 23L14 17Z',
    details: [
      { d: 'M19 24L55 24L55.500 28L19 28Z', tone: 'paper' },
      {
        d: 'M46 31C47.500 31 48.500 32 48.500 33.500C48.500 35 47.500 36 46 36C44.500 36 43.500 35 43.500 33.500C43.500 32 44.500 31 46 31Z',
        tone: 'paper',
      },
      {
        d: 'M44 60C46 60 47.500 61.500 47.500 63.500C47.500 65.500 46 67 44 67C42 67 40.500 65.500 40.500 63.500C40.500 61.500 42 60 44 60Z',
        tone: 'brass',
      },
      {
        d: 'M46 78C48 78 49.500 79.500 49.500 81.500C49.500 83.500 48 85 46 85C44 85 42.500 83.500 42.500 81.500C42.500 79.500 44 78 46 78Z',
        tone: 'brass',
      },
      {
        d: 'M47 96C49 96 50.500 97.500 50.500 99.500C50.500 101.500 49 103 47 103C45 103 43.500 101.500 43.500 99.500C43.500 97.500 45 96 47 96Z',
        tone: 'brass',
      },
    ],
  },
  crab: {
    label: 'Crab',
    width: 120,
    height: 70,
    pivot: { x: 60, y: 68 },
    silhouette:
      'M60 24C80 24 94 33 96 44C103 43 110 48 113 60L107 61C105 54 101 51 95 51C94 53 92 55 90 57C96 58 100 62 101 69L95 69C94 65 90 63 84 62C77 65 69 66 60 66C51 66 43 65 36 62C30 63 26 65 25 69L19 69C20 62 24 58 30 57C28 55 26 53 25 51C19 51 15 54 13 61L7 60C10 48 17 43 24 44C25 39 28 35 33 31L24 22C15 23 7 17 6 8L16 14L18 2C27 4 32 11 30 19L39 28C45 25 52 24 60 24ZM87 31L81 28L90 19C88 11 93 4 102 2L104 14L114 8C113 17 105 23 96 22Z',
    details: [
      { d: 'M49 34C52 34 54 36 54 39C54 42 52 44 49 44C46 44 44 42 44 39C44 36 46 34 49 34Z', tone: 'paper' },
      { d: 'M71 34C74 34 76 36 76 39C76 42 74 44 71 44C68 44 66 42 66 39C66 36 68 34 71 34Z', tone: 'paper' },
      { d: 'M46 53L74 53L70 57L50 57Z', tone: 'brass' },
    ],
  },
  boat: {
    label: 'Rowing boat',
    width: 150,
    height: 70,
    pivot: { x: 72, y: 62 },
    silhouette:
      'M4 26L20 30C50 36 90 36 118 30L146 18C146 40 128 62 100 66L36 66C14 62 4 44 4 26ZM58 34L52 4L60 2L68 33Z',
    details: [
      { d: 'M20 36C52 43 92 43 124 35L120 42C92 48 54 48 23 42Z', tone: 'paper' },
      {
        d: 'M128 30C131 30 133 32 133 34.500C133 37 131 39 128.500 39C126 39 124 37 124 34.500C124 32 126 30 128 30Z',
        tone: 'brass',
      },
    ],
  },
  gull: {
    label: 'Gull',
    width: 140,
    height: 80,
    pivot: { x: 70, y: 52 },
    silhouette:
      'M4 50C20 44 34 42 48 44C40 30 28 16 10 6C36 8 60 20 74 40C88 36 100 34 112 38C118 40 122 44 124 48L138 53L124 56C118 64 104 68 88 68C64 70 40 66 22 60L4 62L12 55Z',
    details: [
      {
        d: 'M113 44C115 44 116.500 45.500 116.500 47.500C116.500 49.500 115 51 113 51C111 51 109.500 49.500 109.500 47.500C109.500 45.500 111 44 113 44Z',
        tone: 'paper',
      },
      { d: 'M124 48L138 53L124 56Z', tone: 'brass' },
    ],
  },
  fish: {
    label: 'Fish',
    width: 130,
    height: 70,
    pivot: { x: 66, y: 36 },
    silhouette:
      'M126 36C116 54 94 64 70 62C54 60 40 52 32 42L6 60C10 46 10 26 6 12L32 30C40 20 54 12 70 10L84 2L92 12C108 16 120 26 126 36Z',
    details: [
      {
        d: 'M106 26C109 26 111 28 111 31C111 34 109 36 106 36C103 36 101 34 101 31C101 28 103 26 106 26Z',
        tone: 'paper',
      },
      { d: 'M88 20C82 30 82 44 88 54L84 54C76 44 76 30 84 19Z', tone: 'paper' },
    ],
  },
  boot: {
    label: 'Boot',
    width: 110,
    height: 100,
    pivot: { x: 40, y: 100 },
    silhouette: 'M16 4L58 4L58 52C70 60 90 60 100 70C106 76 106 86 106 92L106 100L14 100L14 60Z',
    details: [
      { d: 'M14 88L106 88L106 92L14 92Z', tone: 'paper' },
      { d: 'M16 14L58 14L58 20L16 20Z', tone: 'brass' },
    ],
  },
  cork: {
    label: 'Cork',
    width: 90,
    height: 60,
    pivot: { x: 45, y: 30 },
    silhouette: 'M8 8L64 4C76 4 86 16 86 30C86 44 76 56 64 56L8 52C4 46 2 38 2 30C2 22 4 14 8 8Z',
    details: [
      { d: 'M64 10C73 10 80 19 80 30C80 41 73 50 64 50C57 50 52 41 52 30C52 19 57 10 64 10Z', tone: 'paper' },
      { d: 'M20 20L32 19L32 23L20 24ZM24 38L38 38L38 41L24 41Z', tone: 'brass' },
    ],
  },
};
