import { answerTasks } from './answerTasks';

/** A thread for tests: answers, throws, never ends, or takes all the memory there is. */
answerTasks((task: string) => {
  const kept: number[][] = [];
  if (task === 'throw') throw new Error('It went wrong.');
  while (task === 'never');
  while (task === 'memory') kept.push(Array.from({ length: 100_000 }, (_, i) => i / 3));
  return `done: ${task}`;
});
