import { ShotError } from '@humble/core';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { ZodError } from 'zod';

/** An error with a meaning for whoever asked (RFC 9457 problem details). */
export class Problem extends Error {
  readonly status: number;
  readonly code: string;
  readonly extra: object;

  /** @param sentence fit to be shown to the user */
  constructor(status: number, code: string, sentence: string, extra: object = {}) {
    super(sentence);
    this.name = 'Problem';
    this.status = status;
    this.code = code;
    this.extra = extra;
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
  422: 'Not what it should be',
  429: 'Too many requests',
  500: 'Server error',
};

export function sendProblem(response: Response, problem: Problem): void {
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: `/problems/${problem.code}`,
        title: TITLES[problem.status] ?? 'Request refused',
        status: problem.status,
        detail: problem.message,
        ...problem.extra,
      }),
    );
}

/** Errors of the body parser and of the router carry the status they mean. */
function statusOf(error: unknown): number | null {
  if (typeof error !== 'object' || error === null || !('status' in error)) return null;
  const { status } = error;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : null;
}

function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof ShotError) return new Problem(422, error.code, error.message);
  if (error instanceof ZodError)
    return new Problem(
      400,
      'bad-request',
      `The request is not right: ${error.issues[0]?.path.join('.')} ${error.issues[0]?.message}.`,
    );
  const status = statusOf(error);
  if (status === 413) return new Problem(413, 'too-large', 'That is more than may be sent at once.');
  if (status === 415) return new Problem(415, 'unsupported-media-type', 'The body must be JSON in UTF-8.');
  if (status !== null) return new Problem(status, 'bad-request', 'The request cannot be read.');
  return new Problem(
    500,
    'server-error',
    'Something went wrong on the server. Your work is kept on this device.',
  );
}

/** The last handler: every error leaves as a problem; only unforeseen ones are logged. */
export const handleErrors =
  (log: Logger): ErrorRequestHandler =>
  (error, _request, response, next) => {
    if (response.headersSent) return next(error);
    const problem = problemOf(error);
    if (problem.status >= 500) log.error(error);
    sendProblem(response, problem);
  };

export const notFound: RequestHandler = (_request, response) =>
  sendProblem(response, new Problem(404, 'not-found', 'There is nothing at this address.'));
