import { deflateRawSync, inflateRawSync } from 'node:zlib';
import { diffArrays } from 'diff';
import { Problem } from '../http/problem';

/**
 * A step of a delta: so many letters of the older text that stay, so many that go (negative), or text that comes.
 */
type Step = number | string;

/** Beyond so many differing pieces, or so long, what differs is written out whole. */
const MAX_EDITS = 400;
const MAX_DIFF_MS = 100;

/** How many letters two texts share from their beginnings. */
function sharedStart(a: string, b: string): number {
  const most = Math.min(a.length, b.length);
  let i = 0;
  while (i < most && a.charCodeAt(i) === b.charCodeAt(i)) i++;
  return i;
}

/** The same from their ends, without the first letters. */
function sharedEnd(a: string, b: string, start: number): number {
  const most = Math.min(a.length, b.length) - start;
  let i = 0;
  while (i < most && a.charCodeAt(a.length - 1 - i) === b.charCodeAt(b.length - 1 - i)) i++;
  return i;
}

/** JSON in pieces, each up to where an object or a list ends. */
const piecesOf = (text: string): string[] => text.split(/(?<=[}\]],)/);

const lengthOf = (pieces: readonly string[]): number =>
  pieces.reduce((length, piece) => length + piece.length, 0);

function stepsBetween(older: string, newer: string): Step[] {
  const whole = [-older.length, newer];
  if (older === '' || newer === '') return whole;
  const found = diffArrays(piecesOf(older), piecesOf(newer), {
    maxEditLength: MAX_EDITS,
    timeout: MAX_DIFF_MS,
  });
  if (!found) return whole;
  return found.map(({ added, removed, value }): Step => {
    if (added) return value.join('');
    return removed ? -lengthOf(value) : lengthOf(value);
  });
}

/** What turns an older document into a newer one, compressed: it weighs what changed, whatever the document weighs. */
export function documentDelta(older: string, newer: string): Buffer {
  const start = sharedStart(older, newer);
  const end = sharedEnd(older, newer, start);
  const middle = stepsBetween(older.slice(start, older.length - end), newer.slice(start, newer.length - end));
  return deflateRawSync(JSON.stringify([start, ...middle, end].filter((step) => step !== 0 && step !== '')));
}

/** What is said of a revision that cannot be had back. */
export const damagedRevision = (): Problem =>
  new Problem(422, 'damaged-shot', 'This revision is damaged: part of it is missing.');

/** The newer document. @throws Problem `damaged-shot` when the delta is not one of this older document */
export function withDelta(older: string, delta: Uint8Array): string {
  const steps = JSON.parse(inflateRawSync(delta).toString()) as readonly Step[];
  let at = 0;
  let text = '';
  for (const step of steps) {
    if (typeof step === 'string') text += step;
    else {
      if (step > 0) text += older.slice(at, at + step);
      at += Math.abs(step);
    }
  }
  if (at !== older.length) throw damagedRevision();
  return text;
}

export const wholeDocument = (document: string): Buffer => deflateRawSync(document);
export const documentOfWhole = (content: Uint8Array): string => inflateRawSync(content).toString();
