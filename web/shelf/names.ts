/** The first few of many names, for a message: `A, B, C, D and 12 more`. */
export function firstOf(names: readonly string[], few = 4): string {
  const rest = names.length - few;
  // One name is not worth leaving out.
  return rest > 1 ? `${names.slice(0, few).join(', ')} and ${rest} more` : names.join(', ');
}

/** The names that stand more than once. */
export function repeated(names: readonly string[]): ReadonlySet<string> {
  const met = new Set<string>();
  return new Set(names.filter((n) => met.size === met.add(n).size));
}
