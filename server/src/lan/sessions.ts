import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { Problem } from '../http/problem';

/** A device that was paired. */
export interface Session {
  readonly id: string;
  readonly name: string;
  readonly since: number;
  readonly seen: number;
}

export interface Sessions {
  /** A code that pairs one device, once, within a few minutes. */
  readonly freshCode: () => string;
  /**
   * Pairs a device by a code or by the passphrase.
   * @param from its address: tries are counted by it
   * @returns the token that its cookie carries
   * @throws Problem `wrong-passphrase`, `too-many-tries`
   */
  readonly pair: (proof: Proof, from: string, name: string) => string;
  /** The session of a token; null for one that was ended, or never was. */
  readonly of: (token: string | undefined) => Session | null;
  readonly list: () => readonly Session[];
  readonly end: (id: string) => void;
}

export type Proof = { readonly code: string } | { readonly passphrase: string };

export const LEAST_PASSPHRASE = 8;
const CODE_LIFE_MS = 5 * 60_000;
const MAX_CODES = 20;
/** So many wrong tries from one address, and from all of them together, within so long. */
const TRIES = { each: 5, all: 30, withinMs: 10 * 60_000 } as const;
const MAX_SESSIONS = 20;
/** A device that did not come back for so long is paired no more. */
const SESSION_LIFE_MS = 30 * 24 * 3600_000;

const digest = (text: string): Buffer => createHash('sha256').update(text).digest();
const secret = (): string => randomBytes(24).toString('base64url');
const isSame = (a: string, b: string): boolean => timingSafeEqual(digest(a), digest(b));

interface Kept {
  readonly id: string;
  readonly name: string;
  readonly since: number;
  seen: number;
}

/**
 * The devices that may use a server that listens on the local network. What they carry is kept as a checksum only, and
 * for as long as the server runs.
 */
export function createSessions(passphrase: string, now: () => number = Date.now): Sessions {
  const codes = new Map<string, number>();
  const kept = new Map<string, Kept>();
  let wrong: { readonly from: string; readonly at: number }[] = [];

  const checkTries = (from: string): void => {
    wrong = wrong.filter(({ at }) => now() - at < TRIES.withinMs);
    const own = wrong.filter((one) => one.from === from).length;
    if (own >= TRIES.each || wrong.length >= TRIES.all)
      throw new Problem(429, 'too-many-tries', 'Too many wrong tries. Wait ten minutes, or scan the code.');
  };
  const isRight = (proof: Proof): boolean => {
    if ('passphrase' in proof) return isSame(proof.passphrase, passphrase);
    const until = codes.get(proof.code);
    // Once and no more: whoever sees the code later has nothing of it.
    codes.delete(proof.code);
    return until !== undefined && now() < until;
  };
  const forgetOld = (): void => {
    for (const [token, { seen }] of kept) if (now() - seen > SESSION_LIFE_MS) kept.delete(token);
    while (kept.size >= MAX_SESSIONS) kept.delete(kept.keys().next().value!);
  };
  const keyOf = (token: string): string => digest(token).toString('hex');

  return {
    freshCode: () => {
      for (const [code, until] of codes) if (now() >= until) codes.delete(code);
      while (codes.size >= MAX_CODES) codes.delete(codes.keys().next().value!);
      const code = secret();
      codes.set(code, now() + CODE_LIFE_MS);
      return code;
    },
    pair: (proof, from, name) => {
      // A code is too long to be guessed: tries of the passphrase alone are counted.
      if ('passphrase' in proof) checkTries(from);
      if (!isRight(proof)) {
        if ('passphrase' in proof) wrong.push({ from, at: now() });
        throw new Problem(
          401,
          'wrong-passphrase',
          'code' in proof
            ? 'This code was used, or is too old. Scan a fresh one, or type the passphrase.'
            : 'This is not the passphrase.',
        );
      }
      forgetOld();
      const token = secret();
      kept.set(keyOf(token), { id: randomBytes(6).toString('hex'), name, since: now(), seen: now() });
      return token;
    },
    of: (token) => {
      const found = token === undefined ? undefined : kept.get(keyOf(token));
      if (!found || now() - found.seen > SESSION_LIFE_MS) return null;
      found.seen = now();
      return { ...found };
    },
    list: () => [...kept.values()].map((one) => ({ ...one })),
    end: (id) => {
      for (const [token, one] of kept) if (one.id === id) kept.delete(token);
    },
  };
}
