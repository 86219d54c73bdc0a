import { createStore, delMany, entries, getMany, keys, promisifyRequest, type UseStore } from 'idb-keyval';

/**
 * One store of the browser. A browser may have none, may refuse it at once or later, and may be cured: after
 * an error it is opened anew.
 */
export function browserStore(database: string, name: string) {
  let opened: UseStore | null = null;
  const withStore = async <Result>(work: (store: UseStore) => Promise<Result>): Promise<Result> => {
    try {
      return await work((opened ??= createStore(database, name)));
    } catch (error) {
      opened = null;
      throw error;
    }
  };
  return {
    /** Commits at once: a page that is being left gives no time for more. */
    put: (...values: readonly (readonly [key: string, value: unknown])[]): Promise<void> =>
      withStore((store) =>
        store('readwrite', (objects) => {
          for (const [key, value] of values) objects.put(value, key);
          objects.transaction.commit?.();
          return promisifyRequest<void>(objects.transaction);
        }),
      ),
    remove: (...found: readonly string[]): Promise<void> => withStore((store) => delMany([...found], store)),
    all: <Value>(): Promise<[string, Value][]> => withStore((store) => entries<string, Value>(store)),
    keys: (): Promise<string[]> => withStore((store) => keys<string>(store)),
    get: <Value>(found: readonly string[]): Promise<(Value | undefined)[]> =>
      withStore((store) => getMany<Value>([...found], store)),
  };
}
