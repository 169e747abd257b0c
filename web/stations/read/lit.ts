import type { Pin } from '../../../core/part';

/** Which terminals' cells are lit: that of the one that is asked about, else those of the selected pins. */
export const litBy = (asked: Pin | undefined, selection: readonly string[]): ((terminal: Pin) => boolean) => {
  const chosen = new Set(selection);
  return (t) => (asked ? t.id === asked.id && t.origin === asked.origin : chosen.has(t.id));
};
