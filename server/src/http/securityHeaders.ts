import type { IncomingMessage, ServerResponse } from 'node:http';
import helmet from 'helmet';

export const securityHeaders = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // React Native for the web writes its style sheet at run time.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      fontSrc: ["'self'"],
      workerSrc: ["'self'", 'blob:'],
      connectSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  strictTransportSecurity: false,
});

/** The same as names and values, for answers that are written without the application. */
export function securityHeaderValues(): Readonly<Record<string, string>> {
  const values: Record<string, string> = {};
  const response = {
    setHeader: (name: string, value: string) => void (values[name] = value),
    removeHeader: () => undefined,
  };
  securityHeaders({} as IncomingMessage, response as unknown as ServerResponse, () => undefined);
  return values;
}
