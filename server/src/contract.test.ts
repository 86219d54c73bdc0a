import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { API, CONTRACT, type Endpoint } from '@humble/core/contract';
import express from 'express';
import request from 'supertest';
import { z } from 'zod';
import { checkAnswers, faultyAnswers } from './testing/checkAnswers';
import { startTestServer, type TestServer } from './testing/testServer';

const page = readFileSync(join(__dirname, '../../docs/http-api.md'), 'utf8');
/** Lines of the table, by what is asked. */
const lines = new Map(
  [...page.matchAll(/^\| `(GET|POST|PUT|DELETE) (\S+)`([^\n]*)$/gm)].map(([, method, path, rest]) => [
    `${method} ${path}`,
    rest!,
  ]),
);
const endpoints: readonly Endpoint[] = Object.values(CONTRACT);
const nameOf = ({ method, path }: Endpoint): string => `${method} ${API}${path}`;

/** The names of what an answer or a body holds, one level deep, the parts of a list included. */
function namesIn(schema: z.ZodType): string[] {
  if (schema instanceof z.ZodArray) return namesIn(schema.element as z.ZodType);
  if (!(schema instanceof z.ZodObject)) return [];
  return Object.entries(schema.shape).flatMap(([name, part]) => [
    name,
    ...(part instanceof z.ZodArray ? namesIn(part as z.ZodType) : []),
  ]);
}

describe('docs/http-api.md', () => {
  test('describes every request, and none that there is not', () => {
    expect([...lines.keys()].sort()).toEqual(endpoints.map(nameOf).sort());
  });

  test.each(endpoints.map((endpoint) => [nameOf(endpoint), endpoint] as const))(
    '%s: its status, and all that is sent and answered',
    (name, { status, body, answer }) => {
      const line = lines.get(name)!;
      expect(line).toContain(`\`${status}`);
      for (const part of [body, answer])
        if (part instanceof z.ZodType)
          for (const key of namesIn(part)) if (!/the (same|copy)/.test(line)) expect(line).toContain(key);
    },
  );
});

describe('every request of the contract is served', () => {
  let at: TestServer;
  beforeAll(async () => {
    at = await startTestServer();
  });
  afterAll(() => at.close());

  test.each(endpoints.map((endpoint) => [nameOf(endpoint), endpoint] as const))('%s', async (_, endpoint) => {
    const address = API + endpoint.path.replace(':id', 'nobody').replace(':sha256', 'f'.repeat(64));
    const method = endpoint.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
    const { body } = await request(at.server)
      [method](address)
      .send(method === 'get' ? undefined : {});
    expect(body.type).not.toBe('/problems/not-found');
  });
});

test('an answer that is not what the contract says is found', async () => {
  const wrong = express();
  wrong.use(checkAnswers);
  wrong.get('/api/health', (_request, response) => void response.json({ status: 'ok', more: 1 }));
  wrong.get('/api/shots', (_request, response) => void response.json({ shots: [{ id: 'a' }] }));
  await request(wrong).get('/api/health');
  await request(wrong).get('/api/shots');
  expect(faultyAnswers.splice(0)).toEqual([
    'GET /api/health: it says more than the contract does',
    expect.stringContaining('GET /api/shots: '),
  ]);
});
