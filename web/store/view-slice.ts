import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CheckResult } from '../../core/checks';
import { DEFAULT_RULES, type HouseRules } from '../../core/part';

export interface Toast {
  id: number;
  text: string;
  tone: 'plain' | 'bad';
  /** A step back that the toast offers, by its name in the toast registry. */
  action?: { label: string; token: string };
}

interface ViewState {
  /** Ids of the selected pins, in the order they were selected; the last is the one in focus. */
  selection: string[];
  package: string | null;
  unit: string | null;
  /** In pixels, once a person has set it. */
  ledgerWidth: number | null;
  folded: string[];
  checks: CheckResult | null;
  rules: HouseRules;
  toasts: Toast[];
  /** What the station in view asks for next, for the status line. */
  next: string;
  note: string;
}

const initialState: ViewState = {
  selection: [],
  package: null,
  unit: null,
  ledgerWidth: null,
  folded: [],
  checks: null,
  rules: DEFAULT_RULES,
  toasts: [],
  next: '',
  note: '',
};

let toastId = 0;

const slice = createSlice({
  name: 'view',
  initialState,
  reducers: {
    selected(state, { payload }: PayloadAction<string[]>) {
      state.selection = payload;
    },
    packageChosen(state, { payload }: PayloadAction<string | null>) {
      state.package = payload;
    },
    unitChosen(state, { payload }: PayloadAction<string | null>) {
      state.unit = payload;
    },
    ledgerResized(state, { payload }: PayloadAction<number>) {
      state.ledgerWidth = Math.min(720, Math.max(260, payload));
    },
    groupFolded(state, { payload }: PayloadAction<string>) {
      state.folded = state.folded.includes(payload) ? state.folded.filter((g) => g !== payload) : [...state.folded, payload];
    },
    checked: (state, { payload }: PayloadAction<CheckResult | null>) => ({ ...state, checks: payload }),
    rulesSet: (state, { payload }: PayloadAction<HouseRules>) => ({ ...state, rules: payload }),
    said: {
      prepare: (toast: Omit<Toast, 'id'>) => ({ payload: { ...toast, id: ++toastId } }),
      reducer(state, { payload }: PayloadAction<Toast>) {
        state.toasts = [...state.toasts.slice(-2), payload];
      },
    },
    toastGone(state, { payload }: PayloadAction<number>) {
      state.toasts = state.toasts.filter((t) => t.id !== payload);
    },
    nextSet(state, { payload }: PayloadAction<{ next: string; note: string }>) {
      state.next = payload.next;
      state.note = payload.note;
    },
    viewReset: (state) => ({
      ...initialState,
      rules: state.rules,
      ledgerWidth: state.ledgerWidth,
      toasts: state.toasts,
    }),
  },
});

export const { selected, packageChosen, unitChosen, ledgerResized, groupFolded, checked, rulesSet, said, toastGone, nextSet, viewReset } =
  slice.actions;
export const viewReducer = slice.reducer;
