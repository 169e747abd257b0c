import { savePart } from './library';
import { sayStorageError } from './db';
import { store } from './index';
import { saveDone, saveFailed, lockLost, type PartState } from './part-slice';

const DELAY_MS = 600;
let timer: ReturnType<typeof setTimeout> | undefined;
let saving: Promise<void> | undefined;
/** The revision that this tab last wrote, by part: the store forgets a part that was left while it was being saved. */
const written = new Map<string, number>();

/**
 * Saves the open part now, if it has changed. Saves follow each other. What is saved is the part as it is when this is
 * called: whoever leaves the part in the same breath loses nothing.
 */
export async function saveNow(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  const called = store.getState().part;
  await saving;
  const now = store.getState().part;
  const state = now.id === called.id ? now : called;
  if (state.id === null || state.part === state.saved || state.readOnly) return;
  saving = write(state.id, state);
  await saving;
  saving = undefined;
}

async function write(id: string, { part, revision }: PartState): Promise<void> {
  try {
    const done = await savePart(id, part, store.getState().view.rules, Math.max(revision, written.get(id) ?? 0));
    if (done === 'behind') {
      store.dispatch(lockLost());
      store.dispatch(saveFailed('Another tab has changed this part since. What you see here is not saved; download it to keep it.'));
      return;
    }
    written.set(id, done);
    store.dispatch(saveDone({ id, part, revision: done }));
  } catch (error) {
    store.dispatch(saveFailed(sayStorageError(error)));
  }
}

/** True where the open part has changes that are not saved and may be. */
function hasUnsaved(): boolean {
  const { id, part, saved, readOnly } = store.getState().part;
  return id !== null && part !== saved && !readOnly;
}

/** Starts saving: within a second of an edit, and at once when the page is hidden. */
export function startAutosave(): void {
  store.subscribe(() => {
    if (!hasUnsaved() || timer !== undefined || saving !== undefined) return;
    timer = setTimeout(() => void saveNow(), store.getState().part.trouble === null ? DELAY_MS : 5000);
  });
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void saveNow();
  });
  window.addEventListener('pagehide', () => void saveNow());
  window.addEventListener('beforeunload', (event) => {
    if (!hasUnsaved()) return;
    void saveNow();
    event.preventDefault();
  });
}
