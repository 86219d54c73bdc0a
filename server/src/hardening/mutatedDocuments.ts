import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { evaluate, type Shot, ShotError } from '@humble/core';
import { type ExportContext, EXPORTERS, openShot, shotCard } from '@humble/core/files';
import { seeded } from './badRequests';

export interface MutatedReport {
  readonly documents: number;
  /** Those that are still shots, and were evaluated and exported. */
  readonly taken: number;
  readonly refused: number;
  /** What went wrong other than being refused, with how it came about. */
  readonly wrong: readonly string[];
  /** The longest that one took, milliseconds. */
  readonly slowestMs: number;
}

type Random = () => number;

const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]!;

const STRANGE_NUMBERS = [0, -0, -1, 1, 0.5, 1e-9, 1e9, -1e9, 2 ** 31, 2 ** 53, 1e308, 5e-324];
const STRANGE: readonly unknown[] = [null, true, '', 'x'.repeat(300), '\u0000', '𐏿', [], {}, [[]]];

/** All places in a document at which there is a value, as the object and the key. */
function placesIn(value: unknown, found: (readonly [object, string | number])[] = []): typeof found {
  if (typeof value !== 'object' || value === null) return found;
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value)) {
    found.push([value, key]);
    placesIn((value as Record<string | number, unknown>)[key], found);
  }
  return found;
}

/** Changes something in a document, in place. @returns what it did */
function mutate(document: object, random: Random): string {
  const [owner, key] = pick(random, placesIn(document));
  const values = owner as Record<string | number, unknown>;
  const old = values[key];
  if (Array.isArray(owner) && random() < 0.3) {
    const at = Number(key);
    if (random() < 0.5) owner.splice(at, 1);
    else owner.splice(at, 0, structuredClone(pick(random, owner)));
    return `list changed at ${at}`;
  }
  if (typeof old === 'number' && random() < 0.85)
    // Mostly something that may be allowed: what is refused at once tests nothing else.
    values[key] =
      random() < 0.6
        ? old * (0.5 + random()) + (random() < 0.3 ? random() - 0.5 : 0)
        : random() < 0.5
          ? Math.round(old * (0.5 + random()))
          : pick(random, STRANGE_NUMBERS);
  else if (typeof old === 'boolean') values[key] = !old;
  else if (random() < 0.5) values[key] = pick(random, [...STRANGE, ...STRANGE_NUMBERS]);
  else delete values[key];
  return `${key} was ${JSON.stringify(old)?.slice(0, 40)}, is ${JSON.stringify(values[key])?.slice(0, 40)}`;
}

/** Without any files: a picture that is not there is left out, or said to be missing. */
const CONTEXT: ExportContext = { files: new Map(), moveId: null };

/** Evaluates and exports a shot. @throws Error when something in it is not finite */
function evaluateAndExport(shot: Shot): void {
  for (const { pivotX, pivotY } of evaluate(shot).travels)
    for (const values of [pivotX, pivotY])
      if (values.some((value) => !Number.isFinite(value))) throw new Error('a place is not finite');
  shotCard(shot);
  for (const exporter of EXPORTERS)
    if (exporter.isPossible(shot)) {
      try {
        exporter.write(shot, CONTEXT);
      } catch (error) {
        // A format may be too small for a shot: then it says so.
        if (!(error instanceof ShotError)) throw error;
      }
    }
}

/**
 * Changes the demo film's shots a little, again and again, and does with each what the application does: a document is
 * refused by a sentence, or can be evaluated and exported.
 */
export function runMutatedDocuments(demoFolder: string, count: number, seed: number): MutatedReport {
  const random = seeded(seed);
  const folder = join(demoFolder, 'shots');
  const documents = readdirSync(folder).map((name) => readFileSync(join(folder, name), 'utf8'));
  const wrong: string[] = [];
  let [taken, refused, slowestMs] = [0, 0, 0];
  for (let i = 0; i < count; i++) {
    const document = JSON.parse(pick(random, documents)) as object;
    const did = Array.from({ length: 1 + Math.floor(random() * 3) }, () => mutate(document, random));
    const since = performance.now();
    try {
      evaluateAndExport(openShot(document));
      taken++;
    } catch (error) {
      if (error instanceof ShotError) refused++;
      else wrong.push(`${(error as Error).message} after ${did.join('; ')}`);
    }
    slowestMs = Math.max(slowestMs, performance.now() - since);
  }
  return { documents: count, taken, refused, wrong, slowestMs };
}
