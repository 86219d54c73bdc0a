import { pathData } from '../arc/pathData';
import type { Shot } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { type Tick, ticksOf, ticksPath } from '../spacing/ticks';

export const TICK_COLOUR = '#2F4B8C';

const TICK_SHARE = 0.012;
const LONG_TICK_SHARE = 0.02;
export const LINE_SHARE = 0.002;
/** Digits of coordinates, field units. */
const DIGITS = 3;

/** Ticks as path data, every fifth one longer. @param height of the field, field units */
export function ticksByLength(ticks: readonly Tick[], height: number): string {
  const [short, long] = [false, true].map((isLong) => ticks.filter(({ isFifth }) => isFifth === isLong));
  return `${ticksPath(short!, height * TICK_SHARE, DIGITS)}${ticksPath(long!, height * LONG_TICK_SHARE, DIGITS)}`;
}

export interface TickLines {
  readonly d: string;
  readonly strokeWidth: number;
}

export function tickLines(shot: Shot): TickLines {
  const { height } = shot.field;
  const seen = evaluate(shot).travels.filter(({ arc, figure }) => !arc.hidden && !figure.hidden);
  const arcs = new Set(seen.map(({ arc }) => arc));
  return {
    d: [
      ...[...arcs].map((arc) => pathData(arc, DIGITS)),
      ...seen.map((travel) => ticksByLength(ticksOf(travel, shot), height)),
    ].join(''),
    strokeWidth: height * LINE_SHARE,
  };
}
