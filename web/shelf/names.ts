/** So many names are said of many. */
export const FEW = 4;

/** The names that stand more than once. */
export function repeated(names: readonly string[]): ReadonlySet<string> {
  const met = new Set<string>();
  return new Set(names.filter((n) => met.size === met.add(n).size));
}
