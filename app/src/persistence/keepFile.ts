import { Refusal } from '../ui/refusal';
import { addressOf, API, ROUTES } from '@humble/core/routes';
import { persistenceWords as words } from '../words/persistence';
import { MAX_FILE_NAME_LENGTH, OFFLINE_SENTENCE } from './api';

interface FileToKeep {
  readonly to: 'keepPicture' | 'keepSound';
  readonly file: File;
  /** What it says it is; the server looks for itself. */
  readonly type: string;
  readonly signal: AbortSignal;
}

/**
 * Brings a file to the server, which looks at it and keeps it.
 * @returns what the server says it is
 * @throws Refusal with a sentence that names the file
 */
export async function keepFile<Kept extends object>({ to, file, type, signal }: FileToKeep): Promise<Kept> {
  const response = await fetch(API + addressOf(to), {
    method: ROUTES[to].method,
    headers: {
      'content-type': type,
      'x-file-name': encodeURIComponent(file.name.slice(0, MAX_FILE_NAME_LENGTH)),
    },
    body: file,
    signal,
  }).catch((error: unknown) => {
    if (signal.aborted) throw error;
    throw new Refusal(OFFLINE_SENTENCE);
  });
  const answer = (await response.json().catch(() => null)) as (Kept & { readonly detail?: string }) | null;
  if (response.ok && answer) return answer;
  throw new Refusal(`“${file.name}”: ${answer?.detail ?? words.serverErrorClause(response.status)}`);
}
