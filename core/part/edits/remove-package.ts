import type { EditRule } from './edit-rule';

/** Removes a package and the pads that pins had in it. */
export interface RemovePackage {
  kind: 'removePackage';
  package: string;
}

export const removePackage: EditRule<RemovePackage> = {
  apply: (part, edit) => ({
    ...part,
    packages: part.packages.filter((p) => p.id !== edit.package),
    pins: part.pins.map((pin) =>
      pin.pads[edit.package] === undefined
        ? pin
        : { ...pin, pads: Object.fromEntries(Object.entries(pin.pads).filter(([id]) => id !== edit.package)) },
    ),
  }),
  describe: () => 'remove a package',
};
