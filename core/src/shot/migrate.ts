/** One step of a file from a version to the next. */
type Migration = (data: object) => object;

/** By the version they start from. The first format is the only one so far, so there is none yet. */
const MIGRATIONS: ReadonlyMap<number, Migration> = new Map();

/** Data of any known version brought to the present one, unchecked. */
export function migrate(data: object, version: unknown): object {
  let current = data;
  for (let from = Number(version); MIGRATIONS.has(from); from++) current = MIGRATIONS.get(from)!(current);
  return current;
}
