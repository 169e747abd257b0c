import type { BodyDef } from './body-shape';
import { box, sign, thin } from './pen';

export const REGULATORS = {
  regulator: {
    title: 'Regulator',
    standard: 'IEC 60617-6, converter as a block',
    letters: 'U',
    width: 8,
    height: 6,
    names: true,
    box: true,
    active: true,
    ports: [
      { role: 'input', side: 'left', at: 1 },
      { role: 'output', side: 'right', at: 1 },
      { role: 'enable', side: 'left', at: -1, optional: true },
      { role: 'bypass', side: 'right', at: -1, optional: true },
      { role: 'feedback', side: 'right', at: 0, optional: true },
      { role: 'ground', side: 'base', at: 0 },
    ],
    words: /regulator|\bldo\b/i,
    needsWords: true,
    draw: ({ w, h }) => [box(-w, h, w, -h), sign(0, h - 50, 'U', 56), thin([-22, h - 88], [22, h - 88])],
  },
} satisfies Record<string, BodyDef>;
