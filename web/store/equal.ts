/** True where two plain values say the same: maps by their entries, the rest as written down. For small results of selectors only. */
export function equalData(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (a instanceof Map && b instanceof Map) return a.size === b.size && [...a].every(([key, value]) => b.has(key) && b.get(key) === value);
  return JSON.stringify(a) === JSON.stringify(b);
}
