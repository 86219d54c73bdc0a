import { connect } from 'node:net';
import { freshShot } from '@humble/core';
import { heavyShot } from '@humble/core/testing/heavyShots';

export interface BadRequestsReport {
  readonly sent: number;
  readonly statuses: Readonly<Record<string, number>>;
  /** Requests that were answered by a server error, or by an error without problem details. */
  readonly wrong: readonly string[];
}

/** A generator of numbers from 0 to 1 that gives the same for the same seed (Mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Random = () => number;
const pick = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]!;

const METHODS = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD'];
const PATHS = [
  '/api/shots',
  '/api/shots/abc',
  '/api/shots/abc/duplicate',
  '/api/shots/abc/restore',
  '/api/shots/abc/document',
  '/api/shots/abc/revision',
  '/api/shots/%00',
  '/api/shots/%E0%A4%A',
  `/api/shots/${'a'.repeat(300)}`,
  '/api/shots/..%2f..%2fetc%2fpasswd',
  '/api/pictures',
  '/api/pictures/abc',
  `/api/pictures/${'0'.repeat(64)}`,
  '/api/easings',
  '/api/easings/abc',
  '/api/films',
  '/api',
  '/_expo/../../package.json',
];
const TYPES = [
  'application/json',
  'application/json; charset=utf-16',
  'text/plain',
  'image/png',
  'image/svg+xml',
  '',
];
const STRANGE: readonly unknown[] = [
  null,
  '',
  'x'.repeat(5000),
  -1,
  0,
  1e308,
  -1e308,
  1e-320,
  true,
  [],
  {},
  [[[[]]]],
  { __proto__: null, constructor: 1 },
  '\u0000',
  '😀'.repeat(100),
];

const SEEDS = [
  heavyShot({ marks: 4, points: 5, ranges: 2, placements: 2 }),
  freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 }),
];

function mutated(random: Random, data: unknown): unknown {
  if (typeof data !== 'object' || data === null || random() < 0.15) return pick(random, STRANGE);
  const copy = structuredClone(data) as Record<string, unknown>;
  const keys = Object.keys(copy);
  if (keys.length === 0) return pick(random, STRANGE);
  const key = pick(random, keys);
  if (random() < 0.1) delete copy[key];
  else copy[key] = mutated(random, copy[key]);
  return copy;
}

const PICTURES = [
  Buffer.from('89504e470d0a1a0a0000000d4948445200000001000000010802000000907753de', 'hex'),
  Buffer.from('ffd8ffe000104a46494600010100000100010000ffc0000b080010001001011100', 'hex'),
  Buffer.from(
    'UklGRkYAAABXRUJQVlA4WAoAAAAQAAAAAgAAAQAAQUxQSAcAAAAAAAAAAAAAAFZQOCAYAAAAMAEAnQEqAwACAAdAliWkAANwAP7vuQAA',
    'base64',
  ),
  Buffer.from(
    '<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"><use href="#a"/><style>a{b:url(c)}</style></svg>',
  ),
];

/** Bytes with some of them changed, taken out or said twice. */
function damaged(random: Random, bytes: Buffer): Buffer {
  const copy = Buffer.from(bytes);
  for (let i = 0; i < 1 + random() * 4; i++)
    copy[Math.floor(random() * copy.length)] = Math.floor(random() * 256);
  const from = Math.floor(random() * copy.length);
  if (random() < 0.3) return copy.subarray(0, from);
  return random() < 0.3 ? Buffer.concat([copy, copy.subarray(from)]) : copy;
}

interface BadRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body?: string | Buffer;
}

function badRequest(random: Random): BadRequest {
  const kind = random();
  if (kind < 0.45) {
    const shot = mutated(random, pick(random, SEEDS));
    const body =
      random() < 0.1
        ? mutated(random, { shot, revision: 1 })
        : { shot, revision: pick(random, [1, 2, 'x', -1]) };
    const text = JSON.stringify(body) ?? '';
    const cut = random() < 0.1 ? text.slice(0, Math.floor(random() * text.length)) : text;
    const isNew = random() < 0.7;
    return {
      method: isNew ? 'POST' : 'PUT',
      path: isNew ? '/api/shots' : '/api/shots/abc',
      headers: { 'content-type': 'application/json' },
      body: cut,
    };
  }
  if (kind < 0.6) {
    const body = damaged(random, pick(random, PICTURES));
    return {
      method: 'POST',
      path: '/api/pictures',
      headers: { 'content-type': 'image/png', 'x-file-name': '%E0%' },
      body,
    };
  }
  const method = pick(random, METHODS);
  const headers: Record<string, string> = {};
  const type = pick(random, TYPES);
  if (type) headers['content-type'] = type;
  if (random() < 0.1) headers.origin = 'http://127.0.0.1:1';
  const mayHaveBody = method !== 'GET' && method !== 'HEAD';
  return {
    method,
    path: pick(random, PATHS),
    headers,
    ...(mayHaveBody &&
      random() < 0.7 && {
        body: JSON.stringify(mutated(random, { name: 'A', easing: { kind: 'even' } })) ?? '',
      }),
  };
}

const NOT_HTTP = [
  'GARBAGE\r\n\r\n',
  'GET / HTTP/9.9\r\n\r\n',
  `GET /api/health HTTP/1.1\r\nHost: localhost\r\nX: ${'y'.repeat(20_000)}\r\n\r\n`,
  'POST /api/shots HTTP/1.1\r\nHost: localhost\r\nExpect: miracles\r\n\r\n',
];

/** Sends text that is no request, and returns the status and whether it is a problem with details. */
function sendRaw(address: string, text: string): Promise<string> {
  const { hostname, port } = new URL(address);
  return new Promise((resolve, reject) => {
    let answer = '';
    const socket = connect(Number(port), hostname, () => socket.write(text));
    socket.on('data', (chunk) => (answer += chunk.toString()));
    socket.on('close', () => resolve(answer));
    socket.on('error', reject);
    socket.setTimeout(5000, () => socket.end());
  });
}

const isProblem = (answer: string): boolean =>
  /application\/problem\+json/.test(answer) && /"detail":"[A-Z](?:[^"\\]|\\.)*\."/.test(answer);

/** Sends generated requests that make no sense, the same ones for the same seed. */
export async function sendBadRequests(
  address: string,
  count: number,
  seed: number,
): Promise<BadRequestsReport> {
  const random = seeded(seed);
  const statuses: Record<string, number> = {};
  const wrong: string[] = [];
  const note = (status: number | string, what: string, isWrong: boolean): void => {
    statuses[status] = (statuses[status] ?? 0) + 1;
    if (isWrong) wrong.push(`${status} ${what}`.slice(0, 300));
  };
  for (const text of NOT_HTTP) {
    const answer = await sendRaw(address, text);
    const [, status = 'none'] = /^HTTP\/1\.1 (\d+)/.exec(answer) ?? [];
    note(status, JSON.stringify(text.slice(0, 40)), !status.startsWith('4') || !isProblem(answer));
  }
  for (let i = NOT_HTTP.length; i < count; i++) {
    const { method, path, headers, body } = badRequest(random);
    const what = `${method} ${path} ${String(body ?? '').slice(0, 200)}`;
    try {
      const answer = await fetch(address + path, { method, headers, body: body as BodyInit | undefined });
      const text = await answer.text();
      const isError = answer.status >= 400;
      const hasDetails = method === 'HEAD' || isProblem(`${answer.headers.get('content-type')} ${text}`);
      note(answer.status, what, answer.status >= 500 || (isError && !hasDetails));
    } catch (error) {
      note('none', `${what}: ${(error as Error).message}`, true);
    }
  }
  return { sent: count, statuses, wrong };
}
