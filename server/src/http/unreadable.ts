import type { Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { Problem, problemJson } from './problem';
import { securityHeaderValues } from './securityHeaders';

/** Why Node's reader gave up on a request before it reached the application. */
const PROBLEMS: Readonly<Record<string, Problem>> = {
  HPE_HEADER_OVERFLOW: new Problem(431, 'header-too-large', 'The head of the request is too large.'),
  HPE_CHUNK_EXTENSIONS_OVERFLOW: new Problem(413, 'too-large', 'That is more than may be sent at once.'),
  ERR_HTTP_REQUEST_TIMEOUT: new Problem(408, 'too-slow', 'The request took too long to arrive.'),
};
const UNREADABLE = new Problem(400, 'bad-request', 'The request cannot be read: it is no HTTP.');

const REASONS: Readonly<Record<number, string>> = {
  400: 'Bad Request',
  408: 'Request Timeout',
  413: 'Content Too Large',
  431: 'Request Header Fields Too Large',
};

/** A whole answer, for a connection that has no response object. */
function rawAnswer(problem: Problem): string {
  const body = problemJson(problem);
  return [
    `HTTP/1.1 ${problem.status} ${REASONS[problem.status]}`,
    'Content-Type: application/problem+json',
    `Content-Length: ${Buffer.byteLength(body)}`,
    'Connection: close',
    ...Object.entries(securityHeaderValues()).map(([name, value]) => `${name}: ${value}`),
    '',
    body,
  ].join('\r\n');
}

/** Gives requests that Node refuses by itself an answer like all others: problem details with a sentence. */
export function answerUnreadable(server: Server): void {
  server.on('clientError', (error: NodeJS.ErrnoException, socket: Duplex) => {
    if (!socket.writable || error.code === 'ECONNRESET') return socket.destroy();
    socket.end(rawAnswer(PROBLEMS[error.code ?? ''] ?? UNREADABLE));
  });
  server.on('checkExpectation', (_request, response) => {
    const problem = new Problem(417, 'unknown-expectation', 'The server cannot do what the request expects.');
    response.writeHead(417, {
      'Content-Type': 'application/problem+json',
      Connection: 'close',
      ...securityHeaderValues(),
    });
    response.end(problemJson(problem));
  });
}
