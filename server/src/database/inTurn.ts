/** Does one piece of work at a time, in the order in which they were asked for. */
export type InTurn = <Result>(work: () => Promise<Result>) => Promise<Result>;

export function createInTurn(): InTurn {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const next = last.then(work, work);
    last = next.catch(() => undefined);
    return next;
  };
}
