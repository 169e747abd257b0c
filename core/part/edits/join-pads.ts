import { plural, replaceById, type EditRule } from './edit-rule';

/** Sets the pad numbers that pins have in one package. */
export interface JoinPads {
  kind: 'joinPads';
  package: string;
  joins: { pin: string; pads: string[] }[];
}

export const joinPads: EditRule<JoinPads> = {
  apply(part, edit) {
    const byPin = new Map(edit.joins.map((j) => [j.pin, j.pads]));
    const pins = replaceById(part.pins, [...byPin.keys()], (pin) => {
      const { [edit.package]: _before, ...others } = pin.pads;
      const pads = byPin.get(pin.id)!;
      return { ...pin, pads: pads.length === 0 ? others : { ...others, [edit.package]: pads } };
    });
    return { ...part, pins };
  },
  describe: ({ joins }) => `join pads of ${plural(joins.length, 'pin')}`,
};
