import type { Package } from '../land';
import { putById, type EditRule } from './edit-rule';

/** Adds a package with its land, or replaces the one with its id. */
export interface SetPackage {
  kind: 'setPackage';
  package: Package;
}

export const setPackage: EditRule<SetPackage> = {
  apply: (part, edit) => ({ ...part, packages: putById(part.packages, edit.package) }),
  describe: (edit) => `set the land of ${edit.package.name}`,
};
