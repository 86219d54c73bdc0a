import sqlite3 from 'sqlite3';

export type Row = Readonly<Record<string, unknown>>;

/** A database file beside the one that is in use: a copy, a backup. */
export interface PlainSqlite {
  readonly rows: <Of extends object = Row>(
    sql: string,
    values?: readonly unknown[],
  ) => Promise<readonly Of[]>;
  /** Rows of a table one after the other, in the order of a key, so that not all of them are held at once. */
  readonly each: <Of extends object = Row>(
    table: string,
    some: { readonly columns: string; readonly key: string; readonly where?: string },
    visit: (row: Of) => Promise<void> | void,
  ) => Promise<void>;
  /** Several statements. */
  readonly exec: (sql: string) => Promise<void>;
  readonly close: () => Promise<void>;
}

/** @param mode reading alone unless it is said otherwise @throws Error of SQLite, with its code */
export async function openSqlite(file: string, mode: 'read' | 'write' = 'read'): Promise<PlainSqlite> {
  const flags = mode === 'read' ? sqlite3.OPEN_READONLY : sqlite3.OPEN_READWRITE;
  const database = await new Promise<sqlite3.Database>((resolve, reject) => {
    const one = new sqlite3.Database(file, flags, (error) => (error ? reject(error) : resolve(one)));
  });
  const rows = <Of extends object>(sql: string, values: readonly unknown[] = []): Promise<readonly Of[]> =>
    new Promise((resolve, reject) =>
      database.all<Of>(sql, [...values], (error, found) => (error ? reject(error) : resolve(found))),
    );
  return {
    rows,
    each: async (table, { columns, key, where = '1' }, visit) => {
      type Keyed = Row & { readonly rowKey: string };
      for (let after = ''; ;) {
        const sql = `SELECT ${columns}, ${key} AS rowKey FROM ${table}
          WHERE ${key} > ? AND ${where} ORDER BY ${key} LIMIT 1`;
        const [row] = await rows<Keyed>(sql, [after]);
        if (!row) return;
        await visit(row as never);
        after = row.rowKey;
      }
    },
    exec: (sql) =>
      new Promise((resolve, reject) => database.exec(sql, (error) => (error ? reject(error) : resolve()))),
    close: () => new Promise((resolve) => database.close(() => resolve())),
  };
}
