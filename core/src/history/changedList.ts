interface Named {
  readonly id: string;
}

export interface ListChange<Item> {
  readonly added: readonly Item[];
  readonly removed: readonly Item[];
  /** Those that are in both and no longer the same, as they were and as they are. */
  readonly changed: readonly (readonly [before: Item, after: Item])[];
}

/** Whether two parts of a shot say the same; parts that an edit left alone are the same object. */
export const isEqual = (a: unknown, b: unknown): boolean =>
  a === b || JSON.stringify(a) === JSON.stringify(b);

/** What became of a list whose items have ids. Their order counts for nothing. */
export function changedList<Item extends Named>(
  before: readonly Item[],
  after: readonly Item[],
): ListChange<Item> {
  const was = new Map(before.map((item) => [item.id, item]));
  const is = new Set(after.map(({ id }) => id));
  return {
    added: after.filter(({ id }) => !was.has(id)),
    removed: before.filter(({ id }) => !is.has(id)),
    changed: after.flatMap((item): (readonly [Item, Item])[] => {
      const old = was.get(item.id);
      return old && !isEqual(old, item) ? [[old, item]] : [];
    }),
  };
}

/** Whether any of some members differs. */
export const differsIn = <Item extends object>(
  [before, after]: readonly [Item, Item],
  ...members: readonly (keyof Item)[]
): boolean => members.some((member) => !isEqual(before[member], after[member]));
