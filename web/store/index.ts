import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { edited, partReducer, redone, undone, opened } from './part-slice';
import { checked, rulesSet, viewReducer } from './view-slice';
import { checkOpenPart } from '../workers/open-part';

const listener = createListenerMiddleware();

export const store = configureStore({
  reducer: { part: partReducer, view: viewReducer },
  // Edits and parts are plain data by their own schemas; walking thousands of pins on each action costs frames.
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: { warnAfter: 200 } }).prepend(listener.middleware),
});

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;
export const useStore = useSelector.withTypes<RootState>();
export const useAct = useDispatch.withTypes<AppDispatch>();

/** How long a change must stand before it is checked. */
const SETTLE_MS = 40;

// Checks follow every change, in the worker; only the newest answer counts.
let asked = 0;
listener.startListening({
  predicate: (action) => [edited, undone, redone, opened, rulesSet].some((a) => a.match(action)),
  effect: async (_action, api) => {
    const turn = ++asked;
    await api.delay(SETTLE_MS);
    const { part, view } = api.getState() as RootState;
    if (turn !== asked || part.id === null) return;
    const result = await checkOpenPart(part.part, view.rules);
    if (turn === asked) api.dispatch(checked(result));
  },
});
