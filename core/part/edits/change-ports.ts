import type { Port } from '../drawing';
import { plural, replaceById, type EditRule } from './edit-rule';

/** Sets the length (grid steps), the marks or what text shows, for any number of ports of a drawing. */
export interface ChangePorts {
  kind: 'changePorts';
  drawing: string;
  ports: string[];
  set: Partial<Pick<Port, 'length' | 'marks' | 'hide' | 'turned'>>;
}

export const changePorts: EditRule<ChangePorts> = {
  apply: (part, { drawing, ports, set }) => ({
    ...part,
    drawings: replaceById(part.drawings, [drawing], (d) => ({
      ...d,
      ports: replaceById(d.ports, ports, (port) => ({ ...port, ...set })),
    })),
  }),
  describe: ({ ports, set }) => `change ${Object.keys(set).join(', ')} of ${plural(ports.length, 'pin')}`,
};
