import { pathData } from '../arc/pathData';
import type { Shot, StandInName } from '../shot/schema';
import { exposuresOf } from '../spacing/exposures';
import { ticksOf, ticksPath } from '../spacing/ticks';
import { evaluate } from '../travel/evaluate';

/** The little picture of a shot in the list: its own arcs, ticks and ghosts, in field units. */
export interface ShotCard {
  readonly width: number;
  readonly height: number;
  readonly arcs: readonly string[];
  readonly ticks: string;
  /** Figures from the first exposure to the last; `strength` grows from 0 to 1 along the way. */
  readonly ghosts: readonly {
    readonly standIn: StandInName;
    readonly figureHeight: number;
    readonly x: number;
    readonly y: number;
    readonly headingDeg: number;
    readonly strength: number;
  }[];
}

const GHOSTS_ON_CARD = 6;
/** Ticks past this many would blur into a band at the size of a card. */
const TICKS_ON_CARD = 40;
/** Half length of a tick as a share of the field's height. */
const TICK_SHARE = 0.03;

const rounded = (value: number): number => Math.round(value * 100) / 100;

export function shotCard(shot: Shot): ShotCard {
  const { travels } = evaluate(shot);
  const ticks = travels.map((travel) => {
    const all = ticksOf(travel, shot);
    const every = Math.ceil(all.length / TICKS_ON_CARD);
    const some = all.filter((_, i) => i % every === 0);
    return ticksPath(some, shot.field.height * TICK_SHARE);
  });
  const ghosts = travels.flatMap((travel) => {
    const exposures = exposuresOf(travel.move, shot);
    const count = Math.min(GHOSTS_ON_CARD, exposures.length);
    return Array.from({ length: count }, (_, i) => {
      const share = count > 1 ? i / (count - 1) : 1;
      const index = exposures[Math.round(share * (exposures.length - 1))]!.frame - 1;
      return {
        standIn: travel.figure.artwork.standIn,
        figureHeight: travel.figure.height,
        x: rounded(travel.x[index]!),
        y: rounded(travel.y[index]!),
        headingDeg: rounded(travel.heading[index]!),
        strength: rounded(share),
      };
    });
  });
  return {
    width: shot.field.width,
    height: shot.field.height,
    arcs: shot.arcs.map((arc) => pathData(arc, 1)),
    ticks: ticks.join(''),
    ghosts,
  };
}
