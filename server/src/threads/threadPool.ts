import { dirname, extname, join } from 'node:path';
import { Worker } from 'node:worker_threads';

export class LimitError extends Error {
  constructor(readonly limit: 'time' | 'memory') {
    super(`The task went past its limit of ${limit}.`);
    this.name = 'LimitError';
  }
}

export interface TaskOptions {
  /** The task is ended when it takes longer, milliseconds. */
  readonly timeLimitMs: number;
  /** Buffers that are handed over instead of copied. */
  readonly transfer?: readonly ArrayBuffer[];
}

/** Threads that do one task after the other, so that the server goes on answering meanwhile. */
export interface ThreadPool {
  /** @throws LimitError, or the error that the task threw */
  readonly run: (task: unknown, options: TaskOptions) => Promise<unknown>;
  readonly close: () => Promise<void>;
}

export interface PoolOptions {
  readonly size: number;
  /** Most memory of one thread's objects, megabytes. */
  readonly memoryMb: number;
  readonly data?: object;
}

interface WaitingTask {
  readonly task: unknown;
  readonly options: TaskOptions;
  readonly resolve: (result: unknown) => void;
  readonly reject: (error: unknown) => void;
}

interface Thread {
  readonly worker: Worker;
  current: { readonly waiting: WaitingTask; readonly timer: NodeJS.Timeout } | null;
}

/** What a thread answers: its result, or the problem that it met. */
export type Answer = { readonly result: unknown } | { readonly error: unknown };

/**
 * Starts threads as they are needed, up to a number. A thread that went past a limit is ended, and the next
 * task gets another one.
 * @param file of the thread, as TypeScript or built: it answers each message with an `Answer`
 */
export function createThreadPool(file: string, { size, memoryMb, data }: PoolOptions): ThreadPool {
  const queue: WaitingTask[] = [];
  const threads = new Set<Thread>();
  let isClosed = false;

  const settle = (thread: Thread, finish: (waiting: WaitingTask) => void): void => {
    const { current } = thread;
    if (!current) return;
    clearTimeout(current.timer);
    thread.current = null;
    finish(current.waiting);
  };

  const end = (thread: Thread, error: unknown): void => {
    threads.delete(thread);
    void thread.worker.terminate();
    settle(thread, ({ reject }) => reject(error));
    next();
  };

  const start = (): Thread => {
    const entry = extname(file) === '.ts' ? join(dirname(file), 'start.mjs') : file;
    const worker = new Worker(entry, {
      workerData: { ...data, file },
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: memoryMb },
    });
    const thread: Thread = { worker, current: null };
    threads.add(thread);
    worker.on('message', (answer: Answer) => {
      settle(thread, ({ resolve, reject }) =>
        'result' in answer ? resolve(answer.result) : reject(answer.error),
      );
      next();
    });
    worker.on('error', (error: NodeJS.ErrnoException) =>
      end(thread, error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? new LimitError('memory') : error),
    );
    worker.unref();
    return thread;
  };

  const next = (): void => {
    if (isClosed || queue.length === 0) return;
    const idle = [...threads].find(({ current }) => !current);
    if (!idle && threads.size >= size) return;
    const thread = idle ?? start();
    const waiting = queue.shift()!;
    const timer = setTimeout(() => end(thread, new LimitError('time')), waiting.options.timeLimitMs);
    thread.current = { waiting, timer };
    thread.worker.postMessage(waiting.task, waiting.options.transfer);
  };

  return {
    run: (task, options) =>
      new Promise((resolve, reject) => {
        queue.push({ task, options, resolve, reject });
        next();
      }),
    close: async () => {
      isClosed = true;
      await Promise.all([...threads].map(({ worker }) => worker.terminate()));
      threads.clear();
    },
  };
}
