import type { Pin } from '../pin';
import { plural, replaceById, type EditRule } from './edit-rule';

/** Sets the pad numbers that pins have in one package. Numbers that a person wrote are marked by hand, and their doubts are over. */
export interface JoinPads {
  kind: 'joinPads';
  package: string;
  joins: { pin: string; pads: string[] }[];
  byHand?: boolean;
}

/** The numbers in a text, between commas, semicolons or blanks. */
export const padNumbers = (text: string): string[] => text.split(/[\s,;]+/).filter(Boolean);

export const joinPads: EditRule<JoinPads> = {
  apply(part, edit) {
    const byPin = new Map(edit.joins.map((j) => [j.pin, [...new Set(j.pads)]]));
    const pins = replaceById(part.pins, [...byPin.keys()], (pin) => {
      const { [edit.package]: _before, ...others } = pin.pads;
      const pads = byPin.get(pin.id)!;
      const next: Pin = { ...pin, pads: pads.length === 0 ? others : { ...others, [edit.package]: pads } };
      return edit.byHand ? numberedByHand(next) : next;
    });
    return { ...part, pins };
  },
  describe: ({ joins }) => `join pads of ${plural(joins.length, 'pin')}`,
};

const numberedByHand = (pin: Pin): Pin => ({
  ...pin,
  byHand: [...new Set([...(pin.byHand ?? []), 'number' as const])],
  doubts: pin.doubts.filter((d) => d.field !== 'number'),
});
