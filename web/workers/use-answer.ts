import { useEffect, useState } from 'react';

/**
 * What a worker answers to a question about some values, asked anew when one of them changes. An answer to an earlier
 * question is dropped; what it said before stands until it answers anew.
 */
export function useAnswer<T>(ask: () => Promise<T>, about: readonly unknown[]): T | undefined {
  const [answer, setAnswer] = useState<{ said: T }>();
  useEffect(() => {
    let stale = false;
    void ask().then((said) => !stale && setAnswer({ said }));
    return () => {
      stale = true;
    };
    // The question is a new function at each drawing: the values say whether it is another one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, about);
  return answer?.said;
}
