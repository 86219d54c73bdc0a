import { outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_MARKS } from '../model/limits';
import type { Key, Mark, Move } from '../model/schema';
import { withFrameMap } from './frameMap';
import type { Passage } from './passage';
import { reversedEasing } from './reversedEasing';
import { forEachTrack } from './tracks';

interface Cut {
  readonly frames: number;
  readonly marks: readonly Mark[];
  readonly exposures: Move['exposures'];
  readonly skips: Move['skips'];
  readonly overrides: Move['overrides'];
  readonly drawings: Move['drawings'];
  readonly tracks: Move['tracks'];
}

/** @param move has a mark on both edges of the passage */
function cutOut(move: Move, { from, until }: Passage): Cut {
  const counted = <Part extends { readonly frame: number }>(parts: readonly Part[], last: number): Part[] =>
    parts
      .filter(({ frame }) => frame >= from && frame <= last)
      .map((part) => ({ ...part, frame: part.frame - from }));
  const shown = move.drawings.findLast(({ frame }) => frame <= from);
  const later = counted(move.drawings, until - 1).filter(({ frame }) => frame > 0);
  return {
    frames: until - from,
    marks: counted(move.marks, until),
    exposures: move.exposures
      .filter((range) => range.until >= from && range.from < until)
      .map((range) => ({
        ...range,
        from: Math.max(range.from, from) - from,
        until: Math.min(range.until, until - 1) - from,
      })),
    skips: counted(move.skips, until - 1).filter(({ cut }) => !cut),
    overrides: counted(move.overrides, until),
    // A drawing that is cut into on its way to the next has no shape to begin with: it is held.
    drawings: shown
      ? [{ ...shown, frame: 0, drawnThrough: shown.frame === from ? shown.drawnThrough : null }, ...later]
      : later,
    tracks: forEachTrack(({ name }) => counted(move.tracks[name], until)),
  };
}

function turned<Part extends Mark | Key>(parts: readonly Part[], frames: number): Part[] {
  return [...parts].reverse().map((part, i, back): Part => {
    const next = back[i + 1];
    const easing = next ? reversedEasing(next.easing, part.frame - next.frame) : part.easing;
    return { ...part, frame: frames - part.frame, easing };
  });
}

/** Drawings in reverse: what is held begins where it ended, what is drawn through has its keys where they were. */
function drawnBack(drawings: Move['drawings'], frames: number): Move['drawings'] {
  const isKey = (i: number): boolean => Boolean(drawings[i]?.drawnThrough ?? drawings[i - 1]?.drawnThrough);
  const back = drawings.map((one, i) => {
    const before = drawings[i - 1];
    const easing = before?.drawnThrough?.easing;
    const end = drawings[i + 1]?.frame ?? frames;
    return {
      ...one,
      drawnThrough: before?.drawnThrough
        ? { easing: easing ? reversedEasing(easing, one.frame - before.frame) : null }
        : null,
      frame: frames - (isKey(i) ? one.frame : isKey(i + 1) ? end - 1 : end),
    };
  });
  return back.reverse().filter(({ frame }, i, all) => frame !== all[i - 1]?.frame);
}

function backwards(cut: Cut): Cut {
  const { frames } = cut;
  return {
    frames,
    marks: turned(cut.marks, frames),
    exposures: cut.exposures
      .map((range) => ({ ...range, from: frames - range.until - 1, until: frames - range.from - 1 }))
      .reverse(),
    skips: cut.skips.map((skip) => ({ ...skip, frame: frames - skip.frame })).reverse(),
    overrides: cut.overrides.map((one) => ({ ...one, frame: frames - one.frame })).reverse(),
    drawings: drawnBack(cut.drawings, frames),
    tracks: forEachTrack(({ name }) => turned(cut.tracks[name], frames)),
  };
}

function placed<Part extends { readonly frame: number; readonly id?: string }>(
  parts: readonly Part[],
  fresh: readonly Part[],
  isReplaced: (frame: number) => boolean,
  prefix: string,
): Part[] {
  const kept = parts.filter(({ frame }) => !isReplaced(frame));
  if (kept.length + fresh.length > MAX_MARKS) throw outOfRange(`A move has at most ${MAX_MARKS} marks.`);
  const taken = new Set(kept.map(({ id }) => id));
  const named = [...parts, ...fresh].flatMap(({ id }) => (id === undefined ? [] : [{ id }]));
  let number = Number(freshId(prefix, named).slice(prefix.length));
  const own = fresh.map((part) =>
    part.id !== undefined && taken.has(part.id) ? { ...part, id: `${prefix}${number++}` } : part,
  );
  return [...kept, ...own].sort((a, b) => a.frame - b.frame);
}

/** A move with a cut laid onto it at a frame: what lies there gives way, both ends included. */
function laid(move: Move, cut: Cut, at: number): Move {
  const until = at + cut.frames;
  const shifted = <Part extends { readonly frame: number }>(parts: readonly Part[]): Part[] =>
    parts.map((part) => ({ ...part, frame: part.frame + at }));
  const isOn = (frame: number): boolean => frame >= at && frame <= until;
  const isBeneath = (frame: number): boolean => frame >= at && frame < until;
  const drawn = shifted(cut.drawings);
  const isRedrawn = (frame: number): boolean => isBeneath(frame) || drawn.some((one) => one.frame === frame);
  return {
    ...move,
    marks: placed(move.marks, shifted(cut.marks), isOn, 'm'),
    exposures: [
      ...move.exposures.filter((range) => range.until < at || range.from >= until),
      ...cut.exposures.map((range) => ({ ...range, from: range.from + at, until: range.until + at })),
    ].sort((a, b) => a.from - b.from),
    skips: placed(move.skips, shifted(cut.skips), isBeneath, ''),
    overrides: placed(move.overrides, shifted(cut.overrides), isOn, ''),
    drawings: placed(move.drawings, drawn, isRedrawn, ''),
    tracks: forEachTrack(({ name }) => placed(move.tracks[name], shifted(cut.tracks[name]), isOn, 'k')),
  };
}

const leavingAs = (move: Move, frame: number, { easing }: Pick<Mark, 'easing'>): Move => ({
  ...move,
  marks: move.marks.map((mark) => (mark.frame === frame ? { ...mark, easing } : mark)),
});

const markOn = ({ marks }: Pick<Move, 'marks'>, frame: number): Mark =>
  marks.find((mark) => mark.frame === frame)!;

const madeRoom = (move: Move, frame: number, by: number): Move =>
  withFrameMap(move, (f) => (f <= frame ? f : f + by));

/**
 * A passage played from its end to its start. The spans on both sides lead to where it begins and ends now.
 * @param move has a mark on both edges, see `withEdges`
 */
export function reversedPassage(move: Move, passage: Passage): Move {
  const last = markOn(move, passage.until);
  return leavingAs(laid(move, backwards(cutOut(move, passage)), passage.from), passage.until, last);
}

/** A passage and then the same back to where it began; what is later follows. @param move has its edges */
export function outAndBack(move: Move, passage: Passage): Move {
  const { from, until } = passage;
  const back = backwards(cutOut(move, passage));
  const room = madeRoom(move, until, until - from);
  return leavingAs(laid(room, back, until), until + back.frames, markOn(move, until));
}

/** Two places closer than this share of an arc are one. */
const SAME = 1e-9;

/**
 * A passage so many times over; what is later follows. One that ends where it began, or a lap on, goes on from there;
 * any other one begins again on the next frame.
 * @param move has its edges
 * @param isRound whether its arc is closed
 * @param times how often there is the passage then, whole, at least 2
 */
export function repeatedPassage(move: Move, passage: Passage, times: number, isRound: boolean): Move {
  if (!Number.isInteger(times) || times < 2 || times > MAX_MARKS)
    throw outOfRange('A passage is repeated at least twice.');
  const { from, until } = passage;
  const cut = cutOut(move, passage);
  const [first, last] = [markOn(move, from), markOn(move, until)];
  const carried = last.fraction - first.fraction;
  const laps = isRound ? Math.round(carried) : 0;
  const joins = Math.abs(carried - laps) < SAME;
  const period = cut.frames + (joins ? 0 : 1);
  let next = madeRoom(move, until, (times - 1) * period);
  for (let k = 1; k < times; k++) {
    const by = joins ? k * laps : 0;
    const marks = cut.marks.map((mark) => ({ ...mark, fraction: mark.fraction + by }));
    const at = from + k * period;
    next = laid(next, { ...cut, marks }, at);
    if (!joins) next = leavingAs(next, at - 1, { easing: { kind: 'even' } });
  }
  return leavingAs(next, from + (times - 1) * period + cut.frames, last);
}
