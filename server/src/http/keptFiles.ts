import express, { type RequestHandler, type Response } from 'express';
import { z } from 'zod';
import { Problem } from './problem';
import { plainLine } from '@humble/core';

/** The name of a file, as the application sends it beside the bytes. */
const nameHeader = z
  .string()
  .max(1200)
  .transform((text) => {
    try {
      return plainLine(decodeURIComponent(text)).slice(0, 120);
    } catch {
      return '';
    }
  })
  .catch('');

/** Reads the body as bytes, whatever it is said to be. @param limit the most bytes */
export const readBytes = (limit: number): RequestHandler => express.raw({ type: () => true, limit });

/** The bytes of a file and its name. @param what it has to be: one without bytes is refused @throws Problem `bad-request` */
export function fileIn(
  request: { readonly body: unknown; readonly headers: Readonly<Record<string, unknown>> },
  what?: string,
): { readonly bytes: Buffer; readonly name: string } {
  const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
  if (what && bytes.length === 0) throw new Problem(400, 'bad-request', `The body must be ${what}.`);
  return { bytes, name: nameHeader.parse(request.headers['x-file-name']) };
}

/** Whatever a file holds, a browser that is sent to it directly runs and fetches nothing. */
const STILL = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; media-src 'self'; sandbox";

/** Sends a file that never changes: its address is the SHA-256 of its bytes. */
export const sendKept = (
  response: Response,
  { type, bytes }: { readonly type: string; readonly bytes: Buffer },
): void => {
  response
    .set('Content-Security-Policy', STILL)
    .set('Cache-Control', 'public, max-age=31536000, immutable')
    .type(type)
    .send(bytes);
};
