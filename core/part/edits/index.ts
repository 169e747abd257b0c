import type { Part } from '../part';
import { addPins, type AddPins } from './add-pins';
import { addRelease, type AddRelease } from './add-release';
import { bundlePins, type BundlePins } from './bundle-pins';
import { changeDrawing, type ChangeDrawing } from './change-drawing';
import { changePins, type ChangePins } from './change-pins';
import { changePorts, type ChangePorts } from './change-ports';
import { changeUnit, type ChangeUnit } from './change-unit';
import type { EditRule } from './edit-rule';
import { joinPads, type JoinPads } from './join-pads';
import { markRead, type MarkRead } from './mark-read';
import { movePorts, type MovePorts } from './move-ports';
import { moveToUnit, type MoveToUnit } from './move-to-unit';
import { recordTrial, type RecordTrial } from './record-trial';
import { removePackage, type RemovePackage } from './remove-package';
import { removePins, type RemovePins } from './remove-pins';
import { removeUnit, type RemoveUnit } from './remove-unit';
import { restore, type Restore } from './restore';
import { setFields, type SetFields } from './set-fields';
import { removeModel, setModel, type RemoveModel, type SetModel } from './set-model';
import { setPackage, type SetPackage } from './set-package';
import { settleDoubt, type SettleDoubt } from './settle-doubt';
import { splitPin, type SplitPin } from './split-pin';
import { takeArrangement, type TakeArrangement } from './take-arrangement';
import { takePinout, type TakePinout } from './take-pinout';
import { tieNodes, type TieNodes } from './tie-nodes';
import { unwaive, waive, type Unwaive, type Waive } from './waive';

/** Several edits that are one step for undo. */
export interface Batch {
  kind: 'batch';
  title: string;
  edits: Edit[];
}

/** Everything that can change a part, as plain data: canvas, ledger, planner and command line all speak it. */
export type Edit =
  | AddPins
  | AddRelease
  | Batch
  | BundlePins
  | ChangeDrawing
  | ChangePins
  | ChangePorts
  | ChangeUnit
  | JoinPads
  | MarkRead
  | MovePorts
  | MoveToUnit
  | RecordTrial
  | RemoveModel
  | RemovePackage
  | RemovePins
  | RemoveUnit
  | Restore
  | SetFields
  | SetModel
  | SetPackage
  | SettleDoubt
  | SplitPin
  | TakeArrangement
  | TakePinout
  | TieNodes
  | Unwaive
  | Waive;

const batch: EditRule<Batch> = {
  apply: (part, { edits }) => edits.reduce(applyEdit, part),
  describe: ({ title }) => title,
};

const RULES: { [K in Edit['kind']]: EditRule<Extract<Edit, { kind: K }>> } = {
  addPins,
  addRelease,
  batch,
  bundlePins,
  changeDrawing,
  changePins,
  changePorts,
  changeUnit,
  joinPads,
  markRead,
  movePorts,
  moveToUnit,
  recordTrial,
  removeModel,
  removePackage,
  removePins,
  removeUnit,
  restore,
  setFields,
  setModel,
  setPackage,
  settleDoubt,
  splitPin,
  takeArrangement,
  takePinout,
  tieNodes,
  unwaive,
  waive,
};

const ruleOf = (edit: Edit): EditRule<Edit> => RULES[edit.kind] as EditRule<Edit>;

/** The part after an edit. Throws `EditError` when the edit names what is not there. */
export function applyEdit(part: Part, edit: Edit): Part {
  return ruleOf(edit).apply(part, edit);
}

/** A few words for menus and undo: "move 3 pins". */
export const describeEdit = (edit: Edit): string => ruleOf(edit).describe(edit);

/** The edit that leads from `after` back to `before`: the slices that differ, as they were. */
export function inverseOf(before: Part, after: Part): Restore {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof Part)[];
  const changed = keys.filter((key) => before[key] !== after[key]);
  return {
    kind: 'restore',
    slices: Object.fromEntries(changed.filter((key) => key in before).map((key) => [key, before[key]])),
    absent: changed.filter((key) => !(key in before)),
  };
}
