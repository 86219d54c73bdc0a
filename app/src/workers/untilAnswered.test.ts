import { untilAnswered } from './untilAnswered';

test('what is reported after the answer is let go', async () => {
  const heard: number[] = [];
  let late: (done: number) => void = () => undefined;
  const answer = await untilAnswered(
    (done: number) => heard.push(done),
    (report) => {
      report(0.5);
      late = report;
      return Promise.resolve('made');
    },
  );
  late(1);
  expect(answer).toBe('made');
  expect(heard).toEqual([0.5]);
});

test('nor is it heard after a failure', async () => {
  const heard: number[] = [];
  let late: (done: number) => void = () => undefined;
  const asked = untilAnswered(
    (done: number) => heard.push(done),
    (report) => {
      late = report;
      return Promise.reject(new Error('broken'));
    },
  );
  await expect(asked).rejects.toThrow('broken');
  late(1);
  expect(heard).toEqual([]);
});
