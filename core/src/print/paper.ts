export const PAPERS = {
  a4: { label: 'A4', width: 210, height: 297 },
  a3: { label: 'A3', width: 297, height: 420 },
  letter: { label: 'Letter', width: 215.9, height: 279.4 },
} as const;

export type PaperName = keyof typeof PAPERS;

export interface Paper {
  readonly width: number;
  readonly height: number;
}

export function paperOf(name: PaperName, across: boolean): Paper {
  const { width, height } = PAPERS[name];
  return across ? { width: height, height: width } : { width, height };
}

/** A printer leaves this free at each edge. */
export const MARGIN = 12;
/** The head of a page, and its foot with the bar that proves the scale. */
export const HEAD = 12;
export const FOOT = 16;

export interface Room {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export const roomOn = ({ width, height }: Paper): Room => ({
  x: MARGIN,
  y: MARGIN + HEAD,
  width: width - 2 * MARGIN,
  height: height - 2 * MARGIN - HEAD - FOOT,
});

export type InkTone = 'ink' | 'soft';

/** Something that is printed. Nothing is filled over an area: a desk printer would drink its ink. */
export type PrintOp =
  | {
      readonly kind: 'line';
      readonly points: readonly (readonly [x: number, y: number])[];
      readonly width: number;
      readonly tone: InkTone;
      readonly isDashed?: true;
    }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly size: number;
      readonly text: string;
      readonly font: 'sans' | 'mono';
      readonly align: 'left' | 'middle' | 'right';
      readonly tone: InkTone;
    }
  | { readonly kind: 'clip'; readonly room: Room; readonly ops: readonly PrintOp[] };

export interface PrintPage extends Paper {
  readonly ops: readonly PrintOp[];
}

export const line = (
  points: readonly (readonly [number, number])[],
  width = 0.25,
  tone: InkTone = 'ink',
): PrintOp => ({ kind: 'line', points, width, tone });

type TextOptions = Partial<Pick<Extract<PrintOp, { kind: 'text' }>, 'size' | 'font' | 'align' | 'tone'>>;

export const text = (
  x: number,
  y: number,
  content: string,
  { size = 3.2, font = 'sans', align = 'left', tone = 'ink' }: TextOptions = {},
): PrintOp => ({ kind: 'text', x, y, size, text: content, font, align, tone });

export const ring = (x: number, y: number, radius: number): PrintOp =>
  line(
    Array.from({ length: RING_SIDES + 1 }, (_, i) => {
      const angle = (2 * Math.PI * i) / RING_SIDES;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)] as const;
    }),
    0.35,
  );
const RING_SIDES = 16;

const BAR_MM = 100;

/** A bar of 100 mm at the foot of a page: laid to a ruler it proves that nothing was scaled. */
function scaleBar({ height }: Paper): readonly PrintOp[] {
  const y = height - MARGIN - 4;
  const ticks = Array.from({ length: 11 }, (_, i) => {
    const x = MARGIN + i * 10;
    return line([
      [x, y],
      [x, y - (i % 5 === 0 ? 4 : 2)],
    ]);
  });
  return [
    line(
      [
        [MARGIN, y],
        [MARGIN + BAR_MM, y],
      ],
      0.35,
    ),
    ...ticks,
    text(MARGIN + BAR_MM + 4, y, `${BAR_MM} mm: lay a ruler to it. Print at 100 %, not “fit to page”.`, {
      size: 2.8,
      tone: 'soft',
    }),
  ];
}

export interface Heading {
  readonly title: string;
  readonly detail: string;
  readonly page: number;
  readonly of: number;
}

export function pageWith(paper: Paper, heading: Heading, ops: readonly PrintOp[]): PrintPage {
  const { title, detail, page, of } = heading;
  const right = paper.width - MARGIN;
  return {
    ...paper,
    ops: [
      text(MARGIN, MARGIN + 4, title, { size: 4.2 }),
      text(MARGIN, MARGIN + 8.5, detail, { size: 2.8, tone: 'soft' }),
      text(right, MARGIN + 4, of > 1 ? `${page} / ${of}` : '', { font: 'mono', align: 'right' }),
      ...scaleBar(paper),
      ...ops,
    ],
  };
}
