/** Items by a key, in the order of each key's first; undefined keys are left out. */
export function groupBy<T, K extends string | number>(list: readonly T[], key: (item: T) => K | undefined): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of list) {
    const k = key(item);
    if (k === undefined) continue;
    const known = groups.get(k);
    if (known) known.push(item);
    else groups.set(k, [item]);
  }
  return groups;
}
