import { addUnit, arrangePart } from '../core/arrange';
import { joinExposedPad, familyFromName, generateLand, type Family } from '../core/lands';
import { applyEdit, DEFAULT_RULES, type Edit, type Package, type Part } from '../core/part';
import { chosenModel, proposeTies, tieEdit } from '../core/spice';

/** What a librarian did to a drafted part by hand, step by step; each step sees the part after the one before. */
export interface DemoPart {
  source: string;
  model?: string;
  /** Its library is exported in the Berkeley form. */
  berkeley?: boolean;
  /** Findings that somebody looked at and lets stand. */
  waive?: { rule: string; reason: string }[];
  steps: ((part: Part) => Edit)[];
  release?: { version: string; note: string; date: string };
}

const fields = (set: Extract<Edit, { kind: 'setFields' }>['set']) => (): Edit => ({ kind: 'setFields', set });
const TARNFIELD = 'Tarnfield Devices';
const about = (
  description: string,
  category: string,
  reference: string,
  title: string,
  more: Extract<Edit, { kind: 'setFields' }>['set'] = {},
) => fields({ description, category, reference, maker: TARNFIELD, datasheet: { title }, ...more });

const value = <T>(result: { ok: true; value: T } | { ok: false; problems: unknown[] }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value;
};

const putLand = (pkg: Package, family: Family): Edit => ({
  kind: 'setPackage',
  package: { ...pkg, land: value(generateLand(family)) },
});

/** Makes the land of a package by its short name, and joins the exposed pad where the numbers leave only that. */
const land =
  (name: string, shape = name) =>
  (part: Part): Edit => {
    const pkg = part.packages.find((p) => p.name === name) ?? part.packages[0]!;
    const made = putLand({ ...pkg, name }, value(familyFromName(shape)).family);
    const exposed = joinExposedPad(applyEdit(part, made), pkg.id);
    return { kind: 'batch', title: `land of ${name}`, edits: exposed ? [made, exposed] : [made] };
  };

const landOf =
  (name: string, family: Family) =>
  (part: Part): Edit =>
    putLand({ ...part.packages[0]!, name }, family);

const type =
  (name: string, to: Part['pins'][number]['type']) =>
  (part: Part): Edit => ({
    kind: 'changePins',
    byHand: true,
    changes: part.pins.filter((p) => p.name === name).map((p) => ({ id: p.id, set: { type: to } })),
  });

/** Puts a model source in and takes the matcher's ties as they come. */
export function joinModel(part: Part, fileName: string, source: string, chosen: string, berkeley = false): Part {
  const model = { id: 'm1', fileName, source, chosen, ties: {}, ...(berkeley ? { berkeley } : {}) };
  const set = applyEdit(part, { kind: 'setModel', model });
  const spice = chosenModel(model);
  if (!spice) throw new Error(`${fileName} has no ${chosen}`);
  return applyEdit(set, tieEdit(model, proposeTies(set, model, spice).ties));
}

const hurried = (part: Part): Part['units'] =>
  part.units.map((u, i) => {
    const [lost, ...rest] = Object.entries(u.binding);
    return i === 0 && lost ? { ...u, binding: Object.fromEntries(rest.map(([port, pin], k) => [port, k === 6 ? rest[5]![1] : pin])) } : u;
  });

export const DEMO: Record<string, DemoPart> = {
  TF2204: {
    source: 'TF2204.pdf',
    model: 'TF2204_CH',
    steps: [
      about('Quad Schmitt line receiver', 'integrated circuit', 'U', 'TF2204 datasheet, revision C', {
        keywords: ['receiver', 'Schmitt', 'line'],
        orderCodes: ['TF2204-D', 'TF2204-DR'],
      }),
      land('SO-14'),
    ],
    release: { version: '1.0', note: 'First release, for the line sensors.', date: '2026-10-05' },
  },
  TF7311: {
    source: 'TF7311.pdf',
    steps: [
      about('24-bit bridge converter', 'integrated circuit', 'U', 'TF7311 datasheet, revision A', {
        keywords: ['converter', 'bridge', 'tension'],
      }),
      land('TSSOP-20'),
    ],
  },
  TF3064: {
    source: 'TF3064.xlsx',
    steps: [
      about('Flight logger microcontroller', 'integrated circuit', 'U', 'TF3064 datasheet, revision D', {
        keywords: ['microcontroller', 'logger'],
        orderCodes: ['TF3064-L', 'TF3064-Q', 'TF3064-B'],
      }),
      land('LQFP-64'),
      (part) =>
        putLand(part.packages[1]!, {
          kind: 'quad',
          count: 48,
          pitch: 0.5,
          span: 6.9,
          length: 0.8,
          width: 0.28,
          body: { w: 7, h: 7 },
        }),
      land('BGA-64'),
    ],
  },
  TF1502: {
    source: 'TF1502.pdf',
    model: 'TF1502',
    waive: [{ rule: 'dialect-foreign', reason: 'The simulator of the house reads it: the trial runs in it.' }],
    steps: [
      about('Half-bridge heater driver', 'integrated circuit', 'U', 'TF1502 datasheet, revision B', {
        keywords: ['driver', 'half-bridge', 'de-icing'],
        companions: [
          {
            id: 'c1',
            reason: 'Bootstrap supply of the upper driver',
            pins: ['p8', 'p6'],
            elements: [
              { kind: 'capacitor', value: '100 nF', from: 'BOOT', to: 'SW' },
              { kind: 'diode', value: '', from: 'VDD', to: 'BOOT' },
            ],
          },
        ],
      }),
      // What the upper driver stands on: fed by the bridge, not made by the part.
      type('SW', 'supply-in'),
      land('SO-8-EP'),
    ],
  },
  TF0915: {
    source: 'TF0915.txt',
    model: 'TF0915_PD',
    steps: [
      about('Dual sun-sensor photodiode', 'photodiode', 'D', 'TF0915 datasheet, revision A', {
        keywords: ['photodiode', 'sun'],
        accessories: [{ id: 'a1', name: 'Diffuser TF0915-DF', quantity: 1 }],
      }),
      landOf('4-lead', {
        kind: 'dual',
        count: 4,
        pitch: 1.27,
        span: 4.2,
        length: 1.2,
        width: 0.7,
        body: { w: 3.4, h: 3.2 },
      }),
    ],
  },
  TF9048: {
    source: 'TF9048.pdf',
    steps: [about('Mesh radio', 'integrated circuit', 'U', 'TF9048 datasheet, revision A', { keywords: ['radio', 'mesh'] })],
  },
  TF8484: {
    source: 'TF8484.bsd',
    steps: [
      about('Cloud-camera vision array', 'integrated circuit', 'U', 'TF8484 datasheet, revision B', {
        keywords: ['camera', 'array'],
      }),
      land('BGA-484'),
    ],
  },
  TF6120: {
    source: 'TF6120.ibs',
    steps: [
      about('Dual digital isolator', 'integrated circuit', 'U', 'TF6120 datasheet, revision A', {
        keywords: ['isolator'],
      }),
      land('SO-16W'),
    ],
    release: { version: '1.0', note: 'First release.', date: '2026-10-19' },
  },
  TF5501: {
    source: 'TF5501.csv',
    model: 'TF5501',
    berkeley: true,
    steps: [
      about('Low-noise regulator', 'integrated circuit', 'U', 'TF5501 datasheet, revision E', {
        keywords: ['regulator', 'low noise'],
      }),
      land('SOT-23-5'),
    ],
  },
  'OS-TB10': {
    source: 'OS-TB10.txt',
    steps: [
      fields({
        description: 'Tether reel connector',
        category: 'connector',
        reference: 'J',
        maker: 'Ostrell Components',
        datasheet: { title: 'OS-TB10 drawing, issue 2' },
        keywords: ['connector', 'reel'],
      }),
      landOf('HDR-2x5 with tabs', {
        kind: 'header',
        rows: 2,
        columns: 5,
        pitch: 2.54,
        diameter: 1.7,
        drill: 1,
        body: { w: 20, h: 8 },
        numbering: 'zigzag',
        tabs: { w: 2, h: 3, distance: 18 },
      }),
    ],
    release: { version: '1.0', note: 'First release, for the reel board.', date: '2026-09-28' },
  },
  'TF2204-X': {
    source: 'TF2204-X.txt',
    model: 'TF2204_CH',
    steps: [
      // The supply is taken for what the hurried table calls it, and planned so.
      type('VCC', 'input'),
      (part) => arrangePart({ ...part, units: [], drawings: [] }, DEFAULT_RULES),
      fields({
        description: 'Line receiver',
        category: 'integrated circuit',
        reference: 'Q',
        baseName: 'TF2204-SO14',
        orderCodes: ['TF2204-X', 'TF2204-X'],
      }),
      land('SO-14', 'SO-16'),
      type('3Y', 'unspecified'),
      // What hurry leaves behind: a pin not drawn, one drawn twice, two at one place, one beyond the body, a unit for nothing.
      (part) => addUnit(part, 'Spare'),
      (part) => ({
        kind: 'takeArrangement',
        units: hurried(part),
        drawings: part.drawings.map((d, i) =>
          i === 0
            ? {
                ...d,
                ports: d.ports
                  .slice(1)
                  .map((p, k) =>
                    k === 1
                      ? { ...p, at: d.ports[1]!.at, side: d.ports[1]!.side }
                      : k === 3
                        ? { ...p, at: 9 }
                        : k === 4
                          ? { ...p, marks: ['open-drain' as const] }
                          : p,
                  ),
              }
            : d,
        ),
      }),
      (part) => ({
        kind: 'bundlePins',
        pins: part.pins.filter((p) => p.name === '1Y' || p.name === '2Y').map((p) => p.id),
      }),
    ],
  },
};
