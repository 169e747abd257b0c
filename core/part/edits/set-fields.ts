import type { Part } from '../part';
import type { EditRule } from './edit-rule';

type Identity = Omit<Part, 'schema' | 'pins' | 'units' | 'drawings' | 'packages' | 'models' | 'waivers' | 'releases'>;

/** Sets what identifies a part: name, maker, description, datasheet, free fields, companions, … */
export interface SetFields {
  kind: 'setFields';
  set: Partial<Identity>;
}

export const setFields: EditRule<SetFields> = {
  apply: (part, { set }) => ({ ...part, ...set }),
  describe: ({ set }) => `change ${Object.keys(set).join(', ')}`,
};
