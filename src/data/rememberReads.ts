import type Database from "better-sqlite3";

/**
 * What was read of the file is given again, the same object, until somebody writes to it: through this connection or another,
 * of this process or not. Screens of one day ask for it in turn, each with its plan; most of the time nothing was written between.
 * @param read - Runs in one transaction: a write between two of its queries would tear what it says. Its answer may not be changed.
 * @param most - So many answers are kept, those asked for last.
 */
export function rememberReads<V>(
  db: Database.Database,
  read: (key: string) => V,
  most: number,
): (key: string) => V {
  // What others wrote counts in the one, what this connection wrote in the other.
  const readOthers = db.prepare<[], number>("PRAGMA data_version").pluck();
  const readOwn = db.prepare<[], number>("SELECT total_changes()").pluck();
  const known = new Map<string, V>();
  let writtenThen = "";
  const ask = db.transaction((key: string): V => {
    const written = `${readOthers.get()}/${readOwn.get()}`;
    if (written !== writtenThen) known.clear();
    writtenThen = written;
    const found = known.get(key);
    const value = found ?? read(key);
    known.delete(key);
    known.set(key, value);
    const [oldest] = known.keys();
    if (known.size > most && oldest !== undefined) known.delete(oldest);
    return value;
  });
  // Within a write it may be of what is taken back again, and the marks would not tell.
  return (key) => (db.inTransaction ? read(key) : ask.deferred(key));
}
