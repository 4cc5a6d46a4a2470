// Gathering things by a key, in the order the keys first come up.

export function groupBy<T, Key>(things: Iterable<T>, keyOf: (thing: T) => Key): Map<Key, T[]> {
  const groups = new Map<Key, T[]>();
  for (const thing of things) {
    const key = keyOf(thing);
    const group = groups.get(key);
    if (group) group.push(thing);
    else groups.set(key, [thing]);
  }
  return groups;
}
