import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { z } from 'zod';

const CHECKOUT = join(dirname(fileURLToPath(import.meta.url)), '../..');

const environment = z.object({
  PORT: z.coerce.number().int().min(0).max(65_535).default(4270),
  /** Folder of the database. */
  HUMBLE_DATA: z.string().min(1).default(join(CHECKOUT, 'data')),
  /** Folder of the exported application. */
  HUMBLE_APP: z.string().min(1).default(join(CHECKOUT, 'app/dist')),
  HUMBLE_LOG: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('warn'),
});

export interface Config {
  readonly port: number;
  readonly dataFolder: string;
  readonly appFolder: string;
  readonly demoFolder: string;
  readonly logLevel: string;
  /** Whether the demo film's shots are put in when they are not there. */
  readonly withDemo: boolean;
}

/** What the process was started with. @throws z.ZodError when a variable makes no sense */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[]): Config {
  const { PORT, HUMBLE_DATA, HUMBLE_APP, HUMBLE_LOG } = environment.parse(env);
  return {
    port: PORT,
    dataFolder: HUMBLE_DATA,
    appFolder: HUMBLE_APP,
    demoFolder: join(CHECKOUT, 'demo'),
    logLevel: HUMBLE_LOG,
    withDemo: args.includes('--demo'),
  };
}
