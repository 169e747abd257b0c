import { savePart } from './library';
import { sayStorageError } from './db';
import { store } from './index';
import { saveDone, saveFailed, lockLost } from './part-slice';

const DELAY_MS = 600;
let timer: ReturnType<typeof setTimeout> | undefined;
let saving: Promise<void> | undefined;

/** Saves the open part now, if it has changed. Saves follow each other; none is lost between. */
export async function saveNow(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  await saving;
  const { id, part, saved, revision, readOnly } = store.getState().part;
  if (id === null || part === saved || readOnly) return;
  saving = (async () => {
    try {
      const done = await savePart(id, part, store.getState().view.rules, revision);
      if (done === 'behind') {
        store.dispatch(lockLost());
        store.dispatch(saveFailed('Another tab has changed this part since. What you see here is not saved; download it to keep it.'));
      } else store.dispatch(saveDone({ id, part, revision: done }));
    } catch (error) {
      store.dispatch(saveFailed(sayStorageError(error)));
    }
  })();
  await saving;
  saving = undefined;
}

/** Starts saving: within a second of an edit, and at once when the page is hidden. */
export function startAutosave(): void {
  store.subscribe(() => {
    const { id, part, saved, readOnly, trouble } = store.getState().part;
    if (id === null || part === saved || readOnly || timer !== undefined || saving !== undefined) return;
    timer = setTimeout(() => void saveNow(), trouble === null ? DELAY_MS : 5000);
  });
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'hidden') void saveNow();
  });
  window.addEventListener('pagehide', () => void saveNow());
  window.addEventListener('beforeunload', (event) => {
    const { id, part, saved, readOnly } = store.getState().part;
    if (id !== null && part !== saved && !readOnly) {
      void saveNow();
      event.preventDefault();
    }
  });
}
