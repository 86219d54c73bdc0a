import { parseArgs } from 'node:util';
import { ShotError } from '@humble/core';
import { version } from '../package.json';
import { type Answer, said } from './answer';
import type { Command } from './command';
import { COMMANDS } from './commands';
import { tell, writeOut } from './output';
import { UsageError } from './usageError';

const HELP = { help: { type: 'boolean', short: 'h' } } as const;

function parsed(args: readonly string[], { options }: Pick<Command, 'options'>) {
  try {
    return parseArgs({ args: [...args], allowPositionals: true, options: { ...options, ...HELP } });
  } catch (error) {
    throw new UsageError(`${(error as Error).message.split('. ')[0]}.`);
  }
}

async function help(): Promise<Answer> {
  const [{ usage }, { FORMATS }] = await Promise.all([import('./usage'), import('./commands/convert')]);
  return said(`${usage(FORMATS)}\n`);
}

/** What came of a command, and the file that it goes to; without one to standard output. */
interface Outcome {
  readonly answer: Answer;
  readonly out?: string;
}

async function run([name, ...rest]: readonly string[]): Promise<Outcome> {
  if (name === undefined || name === '--help' || name === '-h') return { answer: await help() };
  if (name === '--version') return { answer: said(`humble-pendulum ${version}\n`) };
  const names = Object.keys(COMMANDS).join(', ');
  if (name.startsWith('-')) throw new UsageError(`Say a command first, then its options: ${names}.`);
  const load = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  if (!load) throw new UsageError(`There is no command “${name}”: use ${names}.`);
  const { default: command } = await load();
  const { values, positionals } = parsed(rest, command);
  if (values.help) return { answer: await help() };
  const answer = await command.run(positionals, values as Parameters<Command['run']>[1]);
  return { answer, out: command.writesFiles ? undefined : (values as { readonly out?: string }).out };
}

/**
 * Runs one command. What it has to say goes to stdout; a mistake goes to stderr as one sentence.
 * @param args what follows the command's own name
 * @returns the exit code: 0; 2 where a check found something; 1 after a mistake
 */
export async function main(args: readonly string[]): Promise<number> {
  try {
    const { answer, out } = await run(args);
    await writeOut(answer, out);
    return answer.code;
  } catch (error) {
    if (!(error instanceof ShotError) && !(error instanceof UsageError)) throw error;
    await tell(error.message.replace(/\s+/g, ' '));
    return 1;
  }
}
