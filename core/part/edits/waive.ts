import type { Waiver } from '../part';
import type { EditRule } from './edit-rule';

/** Lets a finding stand, with a reason, for as long as what it waives stays as it is. */
export interface Waive {
  kind: 'waive';
  waiver: Waiver;
}

export const waive: EditRule<Waive> = {
  apply: (part, { waiver }) => ({
    ...part,
    waivers: [...part.waivers.filter((w) => w.finding !== waiver.finding), waiver],
  }),
  describe: ({ waiver }) => `waive ${waiver.rule}`,
};

/** Takes a waiver back. */
export interface Unwaive {
  kind: 'unwaive';
  finding: string;
}

export const unwaive: EditRule<Unwaive> = {
  apply: (part, { finding }) => ({ ...part, waivers: part.waivers.filter((w) => w.finding !== finding) }),
  describe: () => 'take a waiver back',
};
