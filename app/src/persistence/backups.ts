import type { Immutable } from '@humble/core';
import type { AnswerOf, EndpointName } from '@humble/core/contract';
import { addressOf, API, ROUTES } from '@humble/core/routes';
import { Refusal } from '../ui/refusal';
import { persistenceWords as words } from '../words/persistence';
import { OFFLINE_SENTENCE } from './api';

export type LookedBackup = Immutable<AnswerOf<'lookAtBackup'>>;
export type RestoredBackup = Immutable<AnswerOf<'restoreBackup'>>;
export type RestoreWay = 'beside' | 'instead';

/** Where everything is had as one file. */
export const BACKUP_ADDRESS = API + addressOf('writeBackup');

interface Asked {
  readonly params?: Readonly<Record<string, string>>;
  readonly body?: Blob | object;
  readonly signal?: AbortSignal;
}

/** @throws Refusal with a sentence; what a cancelled request throws */
async function ask<Answer>(name: EndpointName, { params, body, signal }: Asked = {}): Promise<Answer> {
  const isFile = body instanceof Blob;
  const response = await fetch(API + addressOf(name, params), {
    method: ROUTES[name].method,
    ...(body && { body: isFile ? body : JSON.stringify(body) }),
    ...(body && { headers: { 'content-type': isFile ? 'application/octet-stream' : 'application/json' } }),
    signal,
  }).catch((error: unknown) => {
    if (signal?.aborted) throw error;
    throw new Refusal(OFFLINE_SENTENCE);
  });
  const answer = (await response.json().catch(() => null)) as (Answer & { readonly detail?: string }) | null;
  if (response.ok && answer) return answer;
  throw new Refusal(answer?.detail ?? words.serverError(response.status));
}

/** The days of which the server has a copy, the newest first. */
export const listCopies = async (): Promise<readonly string[]> =>
  (await ask<Immutable<AnswerOf<'listCopies'>>>('listCopies')).days;

/** Hands a backup to the server, which says what it holds and changes nothing. */
export const lookAtBackup = (file: Blob, signal: AbortSignal): Promise<LookedBackup> =>
  ask('lookAtBackup', { body: file, signal });

export const lookAtCopy = (day: string, signal: AbortSignal): Promise<LookedBackup> =>
  ask('lookAtCopy', { params: { day }, signal });

export const restoreBackup = (id: string, way: RestoreWay): Promise<RestoredBackup> =>
  ask('restoreBackup', { params: { id }, body: { way } });
