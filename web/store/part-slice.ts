import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import { applyEdit, describeEdit, emptyPart, inverseOf, type Edit, type Part } from '../../core/part';

/** One step of undo: its words, and the edit that takes it back. */
interface Step {
  title: string;
  back: Edit;
}

export interface PartState {
  id: string | null;
  part: Part;
  past: Step[];
  future: Step[];
  revision: number;
  /** The part as it was last saved; saving compares by identity. */
  saved: Part | null;
  trouble: string | null;
  /** Set while another tab has this part open. */
  readOnly: boolean;
}

const initial: PartState = {
  id: null,
  part: emptyPart('none'),
  past: [],
  future: [],
  revision: 0,
  saved: null,
  trouble: null,
  readOnly: false,
};

/**
 * The part that is open. Reducers return new states and never write into the draft: parts are large, frozen and
 * shared with the history, and edits are pure functions of the core.
 */
/** A part and a step are done when they are made: marked as frozen, they are not walked through to be frozen pin by pin. */
const done = <T extends object>(made: T): T => Object.freeze(made);

const slice = createSlice({
  name: 'part',
  initialState: initial,
  reducers: {
    opened(_state, { payload }: PayloadAction<{ id: string; part: Part; revision: number; readOnly: boolean }>) {
      done(payload.part);
      return { ...initial, ...payload, saved: payload.part };
    },
    closed: () => initial,
    edited(state, { payload }: PayloadAction<Edit>) {
      const before = original(state)!;
      if (before.readOnly) return before;
      const part = done(applyEdit(before.part, payload));
      const step = done({ title: describeEdit(payload), back: inverseOf(before.part, part) });
      return { ...before, part, past: [...before.past, step], future: [] };
    },
    undone(state) {
      const before = original(state)!;
      const step = before.past.at(-1);
      if (!step || before.readOnly) return before;
      const part = done(applyEdit(before.part, step.back));
      const forward = done({ title: step.title, back: inverseOf(before.part, part) });
      return { ...before, part, past: before.past.slice(0, -1), future: [forward, ...before.future] };
    },
    redone(state) {
      const before = original(state)!;
      const [step, ...future] = before.future;
      if (!step || before.readOnly) return before;
      const part = done(applyEdit(before.part, step.back));
      return {
        ...before,
        part,
        past: [...before.past, done({ title: step.title, back: inverseOf(before.part, part) })],
        future,
      };
    },
    saveDone(state, { payload }: PayloadAction<{ id: string; part: Part; revision: number }>) {
      const before = original(state)!;
      return before.id === payload.id ? { ...before, saved: payload.part, revision: payload.revision, trouble: null } : before;
    },
    saveFailed: (state, { payload }: PayloadAction<string>) => ({ ...original(state)!, trouble: payload }),
    lockLost: (state) => ({ ...original(state)!, readOnly: true }),
  },
});

export const { opened, closed, edited, undone, redone, saveDone, saveFailed, lockLost } = slice.actions;
export const partReducer = slice.reducer;
