import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { RevisionText, StoredRevision } from '../history/revisionChain';
import { Problem } from '../http/problem';
import type {
  CheckedBody,
  DocumentResults,
  DocumentTask,
  ImportedFile,
  ImportedShot,
  RevisionChanges,
  ShotColumns,
  ThinnedHistory,
} from './documentTasks';
import type { SeenPicture } from './pictureTasks';
import type { SeenSound } from '../sounds/seeSound';
import { createThreadPool, LimitError, type ThreadPool } from './threadPool';

/** How long work may take, milliseconds. */
export interface TimeLimits {
  readonly checkMs: number;
  readonly cardMs: number;
  readonly pictureMs: number;
  readonly soundMs: number;
}

const TIME_LIMITS: TimeLimits = { checkMs: 20_000, cardMs: 3000, pictureMs: 30_000, soundMs: 30_000 };

/** What the server does beside answering: checking shots, pictures and sounds. */
export interface Threads {
  /** The body of a request, checked. @throws Problem */
  readonly checkBody: (bytes: Buffer, namesRevision: boolean) => Promise<CheckedBody>;
  /** A file of any kind that can be read as a shot. @throws Problem */
  readonly importFile: (file: ImportedFile) => Promise<ImportedShot>;
  /** A stored document or a shot file, checked and as it is written today. @throws Problem */
  readonly openDocument: (text: string, withCard: boolean) => Promise<ShotColumns>;
  /** A document under its name with something added. @throws Problem */
  readonly copyDocument: (text: string, suffix: string) => Promise<ShotColumns>;
  /** A revision as it is stored after the one before it. */
  readonly storedAfter: (before: RevisionText | null, after: RevisionText) => Promise<StoredRevision>;
  /** The last document of a chain, as it is written today. @throws Problem when it cannot be read */
  readonly pastDocument: (chain: readonly StoredRevision[]) => Promise<ShotColumns>;
  readonly changesIn: (
    chain: readonly StoredRevision[],
    wanted: readonly number[],
  ) => Promise<readonly RevisionChanges[]>;
  /** A chain without those that do not stay. */
  readonly thinned: (chain: readonly StoredRevision[], kept: readonly number[]) => Promise<ThinnedHistory>;
  /** What a file is, and what of it is kept. @throws Problem */
  readonly seePicture: (bytes: Buffer) => Promise<SeenPicture>;
  /** What a sound is, and how long. @throws Problem */
  readonly seeSound: (bytes: Buffer) => Promise<SeenSound>;
  readonly close: () => Promise<void>;
}

/** A buffer that can be handed to a thread: Node cuts small ones from a pool that others use as well. */
const ownBytes = (bytes: Uint8Array): Uint8Array<ArrayBuffer> => Uint8Array.from(bytes);

async function refused<Result>(work: Promise<Result>, sentence: string): Promise<Result> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof LimitError) throw new Problem(422, 'too-heavy', sentence);
    throw Problem.from(error);
  }
}

/** A thread's file: TypeScript in the sources, built beside a built server. */
function threadFile(folder: string, name: string): string {
  const source = join(folder, `${name}.thread.ts`);
  return existsSync(source) ? source : join(folder, `${name}.thread.mjs`);
}

/** @param folder of the threads' own files */
export function startThreads(folder: string, some: Partial<TimeLimits> = {}): Threads {
  const limits = { ...TIME_LIMITS, ...some };
  const documents = createThreadPool(threadFile(folder, 'document'), {
    size: 2,
    memoryMb: 768,
    data: { cardMs: limits.cardMs },
  });
  const pictures = createThreadPool(threadFile(folder, 'picture'), { size: 1, memoryMb: 1536 });
  const sounds = createThreadPool(threadFile(folder, 'sound'), { size: 1, memoryMb: 512 });
  const ask = <Task extends DocumentTask>(
    task: Task,
    timeLimitMs: number,
    pool: ThreadPool = documents,
    transfer?: readonly ArrayBuffer[],
  ) => pool.run(task, { timeLimitMs, transfer }) as Promise<DocumentResults[Task['kind']]>;
  const tooHeavy = 'This shot is too large to be checked. Split it into several shots.';
  return {
    checkBody: (buffer, namesRevision) => {
      const bytes = ownBytes(buffer);
      const task = { kind: 'body', bytes, namesRevision } as const;
      return refused(ask(task, limits.checkMs, documents, [bytes.buffer]), tooHeavy);
    },
    importFile: ({ bytes: buffer, ...file }) => {
      const bytes = ownBytes(buffer);
      return refused(
        ask({ kind: 'file', ...file, bytes }, limits.checkMs, documents, [bytes.buffer]),
        tooHeavy,
      );
    },
    openDocument: (text, withCard) =>
      refused(ask({ kind: 'document', text, withCard }, limits.checkMs), tooHeavy),
    copyDocument: (text, suffix) => refused(ask({ kind: 'copy', text, suffix }, limits.checkMs), tooHeavy),
    storedAfter: (before, after) => refused(ask({ kind: 'delta', before, after }, limits.checkMs), tooHeavy),
    pastDocument: (chain) => refused(ask({ kind: 'past', chain }, limits.checkMs), tooHeavy),
    changesIn: (chain, wanted) => refused(ask({ kind: 'changes', chain, wanted }, limits.checkMs), tooHeavy),
    thinned: (chain, kept) => refused(ask({ kind: 'thinned', chain, kept }, limits.checkMs), tooHeavy),
    seePicture: (buffer) => {
      const bytes = ownBytes(buffer);
      const work = pictures.run({ bytes }, { timeLimitMs: limits.pictureMs, transfer: [bytes.buffer] });
      return refused(
        work as Promise<SeenPicture>,
        'This picture takes too long to be looked at. Save it smaller, or as PNG.',
      );
    },
    seeSound: (buffer) => {
      const bytes = ownBytes(buffer);
      const work = sounds.run({ bytes }, { timeLimitMs: limits.soundMs, transfer: [bytes.buffer] });
      return refused(work as Promise<SeenSound>, 'This sound takes too long to be looked at.');
    },
    close: async () => {
      await Promise.all([documents.close(), pictures.close(), sounds.close()]);
    },
  };
}
