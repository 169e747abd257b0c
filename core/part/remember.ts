/** More answers than this are forgotten all at once: readers and matchers ask for the same few texts again and again. */
const MOST = 4096;

/** A pure function of a text that keeps its answers. What it gives is shared, and must not be changed. */
export function remember<T>(work: (text: string) => T): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined || known.has(text)) return before!;
    if (known.size >= MOST) known.clear();
    const answer = work(text);
    known.set(text, answer);
    return answer;
  };
}
