import { ShotError } from '@humble/core';
import { firstFault } from '@humble/core/files';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { ZodError } from 'zod';
import { errorCode } from '../database/startError';

export interface ProblemParts {
  readonly status: number;
  readonly code: string;
  readonly sentence: string;
  /** What really happened, for the log; empty where the sentence says it all. */
  readonly cause: string;
}

/** An error with a meaning for whoever asked (RFC 9457 problem details). */
export class Problem extends Error {
  readonly status: number;
  readonly code: string;
  /** Members that are sent besides, as JSON without its braces; empty for none. */
  readonly members: string;

  /** @param sentence fit to be shown to the user */
  constructor(status: number, code: string, sentence: string, members = '', cause?: unknown) {
    super(sentence, { cause });
    this.name = 'Problem';
    this.status = status;
    this.code = code;
    this.members = members;
  }

  static from(error: unknown): Problem {
    if (error instanceof Problem) return error;
    const parts = error as Partial<ProblemParts> | null;
    if (typeof parts !== 'object' || !parts?.sentence) return problemOf(error);
    return new Problem(parts.status!, parts.code!, parts.sentence, '', parts.cause || undefined);
  }
}

const TITLES: Readonly<Record<number, string>> = {
  400: 'Bad request',
  403: 'Forbidden',
  404: 'Not found',
  405: 'Method not allowed',
  409: 'Conflict',
  410: 'Gone',
  413: 'Too large',
  415: 'Unsupported media type',
  417: 'Expectation failed',
  422: 'Not what it should be',
  429: 'Too many requests',
  431: 'Header too large',
  500: 'Server error',
  503: 'Not now',
  507: 'Disk full',
};

export function problemJson({ code, status, message, members }: Problem): string {
  const title = TITLES[status] ?? 'Request refused';
  const json = JSON.stringify({ type: `/problems/${code}`, title, status, detail: message });
  return members ? `${json.slice(0, -1)},${members}}` : json;
}

export function sendProblem(response: Response, problem: Problem): void {
  response.status(problem.status).type('application/problem+json').send(problemJson(problem));
}

/** What the database or the system says, and what that means for whoever asked. */
const STORAGE_PROBLEMS: Readonly<Record<string, readonly [status: number, code: string, sentence: string]>> =
  {
    SQLITE_BUSY: [
      503,
      'database-busy',
      'Another program holds the database. Close it; saving will be tried again.',
    ],
    SQLITE_FULL: [
      507,
      'disk-full',
      'The server’s disk is full. Make room on it; saving will be tried again.',
    ],
    ENOSPC: [507, 'disk-full', 'The server’s disk is full. Make room on it, and try again.'],
    SQLITE_READONLY: [503, 'read-only', 'The database cannot be written. Allow writing in its folder.'],
    SQLITE_CORRUPT: [
      500,
      'database-damaged',
      'The database is damaged. Stop the server and put a copy in its place.',
    ],
    SQLITE_NOTADB: [
      500,
      'database-damaged',
      'The database is damaged. Stop the server and put a copy in its place.',
    ],
    SQLITE_IOERR: [
      503,
      'disk-error',
      'The server’s disk can’t be read or written. Check it and restart the server.',
    ],
    SQLITE_CANTOPEN: [
      503,
      'database-gone',
      'The database cannot be opened. Check its folder and restart the server.',
    ],
  };
function statusOf(error: unknown): number | null {
  if (typeof error !== 'object' || error === null || !('status' in error)) return null;
  const { status } = error;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : null;
}

function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof ShotError) return new Problem(422, error.code, error.message, '', error.cause);
  if (error instanceof ZodError)
    return new Problem(400, 'bad-request', `The request is not right: ${firstFault(error, undefined)}.`);
  const stored = STORAGE_PROBLEMS[errorCode(error) ?? ''];
  if (stored) return new Problem(...stored, '', error);
  const status = statusOf(error);
  if (status === 413) return new Problem(413, 'too-large', 'That is more than may be sent at once.');
  if (status === 415) return new Problem(415, 'unsupported-media-type', 'The body must be JSON in UTF-8.');
  if (status !== null) return new Problem(status, 'bad-request', 'The request cannot be read.');
  return new Problem(
    500,
    'server-error',
    'Something went wrong on the server. Try again; if it happens again, restart the server.',
    '',
    error,
  );
}

export function problemParts(error: unknown): ProblemParts {
  const { status, code, message, cause } = problemOf(error);
  const what = cause instanceof Error ? (cause.stack ?? cause.message) : String(cause ?? '');
  return { status, code, sentence: message, cause: what };
}

/** The last handler: every error leaves as a problem; only unforeseen ones are logged. */
export const handleErrors =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) return next(error);
    const problem = problemOf(error);
    if (problem.status >= 500) log.error(problem.cause ?? error);
    // Refused, and not because something was wrong with it that anyone had thought of.
    else if (problem.cause) log.warn(problem.cause);
    sendProblem(response, problem);
  };

export const notFound: RequestHandler = (_request, response) =>
  sendProblem(response, new Problem(404, 'not-found', 'There is nothing at this address.'));
