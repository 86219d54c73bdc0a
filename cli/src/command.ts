import type { ParseArgsConfig } from 'node:util';
import { currentTake, applyEdit, type Shot } from '@humble/core';
import type { Answer } from './answer';
import { type ReadShot, readShot } from './input';
import { tell } from './output';
import { UsageError } from './usageError';

type Options = NonNullable<ParseArgsConfig['options']>;

export type Values<Of extends Options> = {
  readonly [Name in keyof Of]?: Of[Name]['type'] extends 'boolean' ? boolean : string;
};

/** One command of the terminal. A new one is a file that defines it, and a line in the table. */
export interface Command<Of extends Options = Options> {
  readonly options: Of;
  /** Whether `--out` is its own: what it answers goes to standard output then. */
  readonly writesFiles?: true;
  /** @param paths what follows the command besides its options @throws UsageError, ShotError */
  readonly run: (paths: readonly string[], values: Values<Of>) => Answer | Promise<Answer>;
}

export const defineCommand = <const Of extends Options>(command: Command<Of>): Command =>
  command as unknown as Command;

/** Options of all commands that write one text. */
export const OUT = { out: { type: 'string' } } as const;
/** Options of all commands that read one shot. */
export const TAKE = { take: { type: 'string' } } as const;

/** The only path of a command. @throws UsageError */
export function onePath(command: string, paths: readonly string[], kind: 'shot' | 'film' = 'shot'): string {
  if (paths.length !== 1) throw new UsageError(`${command} takes one ${kind} file.`);
  return paths[0]!;
}

/** The shot as one of its takes has it: by its name, or by its id. */
function inTake(shot: Shot, asked: string | undefined): Shot {
  if (asked === undefined) return shot;
  const take = shot.takes.find(({ id, name }) => name === asked || id === asked);
  if (take) return applyEdit(shot, { name: 'chooseTake', args: { takeId: take.id } });
  const names = shot.takes.map(({ name }) => `“${name}”`).join(', ');
  throw new UsageError(`There is no take “${asked}” in this shot. It has ${names}.`);
}

/** The shot that a command is about, in the take that was asked for. What its file could not say is told. @throws UsageError, ShotError */
export function shotOf(
  command: string,
  paths: readonly string[],
  { take }: { readonly take?: string },
): ReadShot {
  const { shot, files, notes } = readShot(onePath(command, paths));
  for (const note of notes) void tell(note);
  return { shot: inTake(shot, take), files, notes };
}

export const takeName = (shot: Shot): string => currentTake(shot).name;
