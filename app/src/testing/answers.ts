/** Stands in for the server in tests of what is drawn: answers some addresses with JSON, and no others. */
export function answerWith(answers: Readonly<Record<string, object>>): void {
  const RealRequest = global.Request;
  // Relative addresses have no page to be relative to here.
  global.Request = class extends RealRequest {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://localhost') : input, init);
    }
  };
  global.fetch = (async (input: Request) => {
    const answer = answers[new URL(input.url).pathname];
    const headers = { 'content-type': 'application/json' };
    return new Response(JSON.stringify(answer ?? {}), { status: answer ? 200 : 404, headers });
  }) as typeof fetch;
}
