import { randomInt } from 'node:crypto';
import { hostname, networkInterfaces } from 'node:os';
import { StartError } from '../database/startError';
import { createSessions, LEAST_PASSPHRASE, type Sessions } from './sessions';

/** A server that other devices of the local network may use, once they are paired. */
export interface Lan {
  readonly sessions: Sessions;
  /** The names by which it may be asked, without a port. */
  readonly hosts: ReadonlySet<string>;
  /** Where a device of the network finds it; null where there is no network. */
  readonly address: () => string | null;
}

const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

/** A passphrase that is easily read from a screen: three times four letters, about 59 bits. */
const freshPassphrase = (): string =>
  Array.from({ length: 3 }, () =>
    Array.from({ length: 4 }, () => LETTERS[randomInt(LETTERS.length)]).join(''),
  ).join('-');

/** @throws StartError for one that is too short to keep anybody out */
export function passphraseFrom(given: string | undefined): string {
  if (given === undefined || given === '') return freshPassphrase();
  if (given.length < LEAST_PASSPHRASE)
    throw new StartError(`HUMBLE_PASSPHRASE must have at least ${LEAST_PASSPHRASE} letters.`);
  return given;
}

const ownAddresses = (): readonly string[] =>
  Object.values(networkInterfaces())
    .flatMap((one) => one ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);

/** @param port that it listens on, asked for when it is known */
export const createLan = (passphrase: string, port: () => number): Lan => ({
  sessions: createSessions(passphrase),
  get hosts() {
    return new Set([...ownAddresses(), hostname().toLowerCase(), `${hostname().toLowerCase()}.local`]);
  },
  address: () => {
    const [first] = ownAddresses();
    return first === undefined ? null : `http://${first}:${port()}`;
  },
});
