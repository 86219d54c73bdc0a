import { parentPort } from 'node:worker_threads';
import type { Answer } from './threadPool';
import { problemParts } from '../http/problem';

/** Makes a thread answer each message with what a function returns for it, or with the problem it throws. */
export function answerTasks<Task>(perform: (task: Task) => Promise<unknown> | unknown): void {
  parentPort!.on('message', (task: Task) => {
    const answer = async (): Promise<Answer> => {
      try {
        return { result: await perform(task) };
      } catch (error) {
        return { error: problemParts(error) };
      }
    };
    void answer().then((message) => parentPort!.postMessage(message));
  });
}
