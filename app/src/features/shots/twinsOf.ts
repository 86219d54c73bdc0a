interface Named {
  readonly id: string;
  readonly name: string;
}

export interface Twin {
  readonly number: number;
  readonly count: number;
}

/** The shots whose name another one has too, by id: each has a number that stays while they are there. */
export function twinsOf(shots: readonly Named[]): ReadonlyMap<string, Twin> {
  const byName = new Map<string, string[]>();
  for (const { id, name } of shots) byName.set(name, [...(byName.get(name) ?? []), id]);
  return new Map(
    [...byName.values()]
      .filter(({ length }) => length > 1)
      .flatMap((ids) => [...ids].sort().map((id, i) => [id, { number: i + 1, count: ids.length }] as const)),
  );
}
