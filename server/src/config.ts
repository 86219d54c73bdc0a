import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { z } from 'zod';
import { passphraseFrom } from './lan/lan';
import { StartError } from './database/startError';

/** Where the server's code is: its sources, or what was built of them. */
const HERE = dirname(fileURLToPath(import.meta.url));
const CHECKOUT = join(HERE, '../..');

const MAX_PORT = 65_535;
const LOG_LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'silent'] as const;

const environment = z.object({
  PORT: z.coerce
    .number(`PORT must be a whole number from 0 to ${MAX_PORT}`)
    .int(`PORT must be a whole number from 0 to ${MAX_PORT}`)
    .min(0, `PORT must be a whole number from 0 to ${MAX_PORT}`)
    .max(MAX_PORT, `PORT must be a whole number from 0 to ${MAX_PORT}`)
    .default(4270),
  HUMBLE_DATA: z.string().min(1, 'HUMBLE_DATA must name a folder').default(join(CHECKOUT, 'data')),
  HUMBLE_APP: z.string().min(1, 'HUMBLE_APP must name a folder').default(join(CHECKOUT, 'app/dist')),
  HUMBLE_REQUESTS_PER_MINUTE: z.coerce.number().int().min(1).default(1200),
  HUMBLE_LOG: z.enum(LOG_LEVELS, `HUMBLE_LOG must be one of ${LOG_LEVELS.join(', ')}`).default('warn'),
});

export interface Config {
  readonly port: number;
  readonly dataFolder: string;
  readonly appFolder: string;
  readonly demoFolder: string;
  readonly threadsFolder: string;
  readonly logLevel: string;
  readonly requestsPerMinute: number;
  /** Whether the demo film's shots are put in when they are not there. */
  readonly withDemo: boolean;
  /** A folder into which a camera's program writes its pictures; null for none. */
  readonly picturesFrom: string | null;
  /** The passphrase for devices of the local network; null where it listens on this machine alone. */
  readonly lanPassphrase: string | null;
}

/** What stands after an option, as a path from where the command was given. @throws StartError when nothing does */
function folderAfter(args: readonly string[], option: string, base: string): string | null {
  const at = args.indexOf(option);
  if (at < 0) return null;
  const folder = args[at + 1];
  if (!folder || folder.startsWith('--')) throw new StartError(`${option} needs a folder after it.`);
  return resolve(base, folder);
}

/** What the process was started with. @throws StartError when a variable makes no sense */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[]): Config {
  const read = environment.safeParse(env);
  if (!read.success) {
    const [issue] = read.error.issues;
    const name = String(issue?.path[0]);
    throw new StartError(`${issue?.message}; it is “${env[name]}”.`);
  }
  const { PORT, HUMBLE_DATA, HUMBLE_APP, HUMBLE_LOG } = read.data;
  return {
    port: PORT,
    dataFolder: HUMBLE_DATA,
    appFolder: HUMBLE_APP,
    demoFolder: join(CHECKOUT, 'demo'),
    threadsFolder: join(HERE, 'threads'),
    logLevel: HUMBLE_LOG,
    requestsPerMinute: read.data.HUMBLE_REQUESTS_PER_MINUTE,
    withDemo: args.includes('--demo'),
    lanPassphrase: args.includes('--lan') ? passphraseFrom(env.HUMBLE_PASSPHRASE) : null,
    picturesFrom: folderAfter(args, '--pictures-from', env.INIT_CWD ?? process.cwd()),
  };
}
