/**
 * What `make` gives for a key, made once and kept in `known`; with more than `most` keys all are forgotten and made again as they
 * are asked for. For what costs much, is asked again and again, and is the same every time.
 */
export function remember<V>(known: Map<string, V>, most: number, key: string, make: () => V): V {
  const there = known.get(key);
  if (there !== undefined) return there;
  const made = make();
  if (known.size >= most) known.clear();
  known.set(key, made);
  return made;
}
