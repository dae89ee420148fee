/**
 * Remembers the last `most` answers of a pure function by key, the oldest forgotten first. What a plan asks again and
 * again while a dial moves (menus of sheets, rows of an outline) is then worked out once.
 */
export function createMemory<V>(most: number): (key: string, work: () => V) => V {
  const known = new Map<string, V>();
  return (key, work) => {
    const found = known.get(key);
    if (found !== undefined) return found;
    const value = work();
    const oldest = known.keys().next();
    if (known.size >= most && !oldest.done) known.delete(oldest.value);
    known.set(key, value);
    return value;
  };
}
