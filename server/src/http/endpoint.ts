import { type AnswerOf, CONTRACT, type Endpoint, type EndpointName } from '@humble/core/contract';
import { firstFault } from '@humble/core/files';
import type { Immutable } from '@humble/core';
import type { Request, RequestHandler, Response, Router } from 'express';
import type { z } from 'zod';
import { Problem } from './problem';

type Contract = typeof CONTRACT;

type Parsed<Name extends EndpointName, Part extends string> =
  Contract[Name] extends Readonly<Record<Part, infer Schema>>
    ? Schema extends z.ZodType
      ? z.output<Schema>
      : unknown
    : undefined;

export interface Asked<Name extends EndpointName> {
  readonly params: Parsed<Name, 'params'>;
  /** Undefined where a handler before has not read it as JSON: then the request has it as it came. */
  readonly body: Parsed<Name, 'body'>;
  readonly request: Request;
  readonly response: Response;
}

export class Json {
  constructor(readonly text: string) {}
}

/** What an endpoint answers: data, JSON as text, or nothing where it wrote the response itself. */
type Answer<Name extends EndpointName> = Immutable<AnswerOf<Name>> | Json | void;

/** What a schema makes of data from outside. @throws Problem `bad-request` that says what is wrong with it */
function read(schema: z.ZodType, data: unknown): unknown {
  const result = schema.safeParse(data);
  if (result.success) return result.data;
  throw new Problem(400, 'bad-request', `The request is not right: ${firstFault(result.error, data)}.`);
}

const METHODS = { GET: 'get', POST: 'post', PUT: 'put', DELETE: 'delete' } as const;

/**
 * Serves an endpoint of the contract: its address, parameters, body and status come from there.
 * @param before handlers that run first, such as one that reads the body
 */
export function serve<Name extends EndpointName>(
  router: Router,
  name: Name,
  answer: (asked: Asked<Name>) => Promise<Answer<Name>> | Answer<Name>,
  ...before: RequestHandler[]
): void {
  const endpoint: Endpoint = CONTRACT[name];
  const { params, body } = endpoint;
  router[METHODS[endpoint.method]](endpoint.path, ...before, async (request, response) => {
    const isRead = body !== undefined && body !== 'bytes' && !Buffer.isBuffer(request.body);
    const result = await answer({
      params: (params && read(params, request.params)) as Parsed<Name, 'params'>,
      body: (isRead ? read(body, request.body) : undefined) as Parsed<Name, 'body'>,
      request,
      response,
    });
    if (response.headersSent) return;
    response.status(endpoint.status);
    if (endpoint.answer === null) response.end();
    else if (result instanceof Json) response.type('json').send(result.text);
    else response.json(result);
  });
}
