/** So many answers are kept; a part with its model has a few hundred texts, a library of models many thousand. */
const MOST_KEPT = 4096;

/**
 * The same function of a text, that works each text out once: matching compares every pin with every node, and asks the
 * same names and comments again for each pair. Answers are shared, so they must not be changed by who gets them.
 */
export function remembered<T>(of: (text: string) => T): (text: string) => T {
  const kept = new Map<string, { answer: T }>();
  return (text) => {
    const known = kept.get(text);
    if (known) return known.answer;
    const answer = of(text);
    if (kept.size >= MOST_KEPT) kept.clear();
    kept.set(text, { answer });
    return answer;
  };
}
