import { useEffect } from 'react';
import { pastedTable } from './files';

/** What takes a paste itself: fields, and the ledger. */
const TAKES_ITSELF = 'input, textarea, [aria-label="Ledger"]';

/** Calls back with a table that is pasted, wherever the focus is but where pastes are taken already. */
export function usePastedTable(onTable: (table: { name: string; text: string }) => void): void {
  useEffect(() => {
    const onPaste = (e: ClipboardEvent) => {
      const isTaken = e.defaultPrevented || (e.target instanceof Element && e.target.closest(TAKES_ITSELF) !== null);
      const pasted = isTaken || !e.clipboardData ? undefined : pastedTable(e.clipboardData);
      if (!pasted) return;
      e.preventDefault();
      onTable(pasted);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  });
}
