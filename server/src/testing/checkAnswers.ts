import { isDeepStrictEqual } from 'node:util';
import { API, CONTRACT, type Endpoint } from '@humble/core/contract';
import type { RequestHandler } from 'express';

/** Answers that were not what the contract says, as sentences. Tests expect none. */
export const faultyAnswers: string[] = [];

const endpoints: readonly Endpoint[] = Object.values(CONTRACT);

const matches = ({ method, path }: Endpoint, asked: string, address: string): boolean =>
  method === asked && new RegExp(`^${API}${path.replace(/:\w+/g, '[^/]+')}$`).test(address);

function faultOf(endpoint: Endpoint, status: number, body: string): string | null {
  // Problems have a form of their own.
  if (status >= 400) return null;
  if (status !== endpoint.status) return `status ${status}, not ${endpoint.status}`;
  const { answer } = endpoint;
  if (answer === null) return body === '' ? null : 'a body where there is to be none';
  if (typeof answer === 'string') return null;
  const data: unknown = JSON.parse(body);
  const read = answer.safeParse(data);
  if (!read.success) return read.error.message;
  return isDeepStrictEqual(read.data, data) ? null : 'it says more than the contract does';
}

export const checkAnswers: RequestHandler = (request, response, next) => {
  const endpoint = endpoints.find((one) => matches(one, request.method, request.path));
  if (!endpoint) return next();
  const sent: Buffer[] = [];
  const { write, end } = response;
  const keep = (part: unknown): void => {
    if (typeof part === 'string' || part instanceof Uint8Array) sent.push(Buffer.from(part as string));
  };
  response.write = ((...args: Parameters<typeof write>) => {
    keep(args[0]);
    return write.apply(response, args);
  }) as typeof write;
  response.end = ((...args: Parameters<typeof end>) => {
    keep(args[0]);
    const fault = faultOf(endpoint, response.statusCode, Buffer.concat(sent).toString('utf8'));
    if (fault) faultyAnswers.push(`${request.method} ${request.path}: ${fault}`);
    return end.apply(response, args);
  }) as typeof end;
  // What is packed cannot be read here.
  request.headers['accept-encoding'] = 'identity';
  next();
};
