import { carriesPower, type Part } from '../part';
import { packageIn } from '../intake';
import { shapeOf } from '../shapes';
import type { Mend, Rule } from './rule';

/** Class designation letters by category (IEEE 315 clause 22, ASME Y14.44). The first is the usual one. */
export const REFERENCE_LETTERS: Record<string, string[]> = {
  'integrated circuit': ['U', 'IC'],
  connector: ['J', 'P', 'X'],
  diode: ['D', 'CR'],
  photodiode: ['D', 'CR'],
  transistor: ['Q'],
  resistor: ['R'],
  capacitor: ['C'],
  inductor: ['L'],
  transformer: ['T'],
  crystal: ['Y'],
  switch: ['S', 'SW'],
  relay: ['K'],
  fuse: ['F'],
  battery: ['BT'],
  lamp: ['DS'],
  motor: ['B', 'M'],
  filter: ['FL'],
  thermistor: ['RT'],
  varistor: ['RV'],
  loudspeaker: ['LS'],
  microphone: ['MK'],
  antenna: ['E'],
  'test point': ['TP'],
};

const value = (part: Part, field: string): string => {
  const own = (part as unknown as Record<string, unknown>)[field];
  if (typeof own === 'string') return own;
  if (Array.isArray(own)) return own.length > 0 ? 'some' : '';
  if (typeof own === 'object' && own !== null) return 'some';
  return part.fields.find((f) => f.name.toLowerCase() === field.toLowerCase())?.value ?? '';
};

/** What is fed and grounded is an integrated circuit, what is drawn as a transistor is one, until a person says another thing. */
function likelyCategory(part: Part): string {
  if (part.category) return part.category.toLowerCase();
  const isFed = part.pins.some((p) => p.type === 'ground') && part.pins.some((p) => carriesPower(p.type) && p.type !== 'ground');
  if (isFed) return 'integrated circuit';
  const letters = part.drawings.flatMap((d) => shapeOf(d.body)?.letters ?? [])[0];
  return Object.entries(REFERENCE_LETTERS).find(([, [usual]]) => usual === letters)?.[0] ?? '';
}

/** What an empty field of a known kind of part most likely is. */
function mendOf(part: Part, field: string): { mends?: Mend[] } {
  const category = likelyCategory(part);
  const [letters] = REFERENCE_LETTERS[category] ?? [];
  const said = field === 'reference' ? letters : field === 'category' ? category : undefined;
  return said ? { mends: [use(field, said)] } : {};
}

const use = (field: string, said: string): Mend => ({ label: `use ${said}`, edit: { kind: 'setFields', set: { [field]: said } } });

export const identityRules: Rule[] = [
  {
    id: 'field-empty',
    family: 'identity',
    severity: 'error',
    title: 'A field that the house requires is empty',
    why: 'Whoever places or buys the part needs it, and nobody will fill it in later.',
    find: ({ part, rules }) =>
      rules.required
        .filter((f) => value(part, f).trim() === '')
        .map((field) => ({ where: { field }, message: `The field ${field} is empty.`, ...mendOf(part, field) })),
  },
  {
    id: 'datasheet-missing',
    family: 'identity',
    severity: 'warning',
    title: 'No datasheet is named',
    why: 'Without it nobody can check the symbol against its source.',
    find: ({ part }) => (part.datasheet?.title.trim() ? [] : [{ where: { field: 'datasheet' }, message: 'No datasheet is named.' }]),
  },
  {
    id: 'reference-form',
    family: 'identity',
    severity: 'error',
    title: 'The reference letters are no letters',
    why: 'A reference designator is one to three capital letters and a number; anything else breaks annotation.',
    find: ({ part }) =>
      part.reference === '' || /^[A-Z]{1,3}$/.test(part.reference)
        ? []
        : [
            {
              where: { field: 'reference' },
              message: `The reference “${part.reference}” is not one to three capital letters.`,
            },
          ],
  },
  {
    id: 'reference-letters',
    family: 'identity',
    severity: 'warning',
    title: 'The reference letters do not fit the category',
    why: 'IEEE 315 and ASME Y14.44 give each class of part its letters; readers of a schematic rely on them.',
    find: ({ part }) => {
      const usual = REFERENCE_LETTERS[part.category.toLowerCase()];
      if (!usual || part.reference === '' || usual.includes(part.reference)) return [];
      return [
        {
          where: { field: 'reference' },
          message: `Reference ${part.reference} is unusual for the category ${part.category}; ${usual.join(' or ')} is usual.`,
          mends: [use('reference', usual[0]!)],
        },
      ];
    },
  },
  {
    id: 'order-code-twice',
    family: 'identity',
    severity: 'warning',
    title: 'An order code stands twice',
    why: 'One of the two is probably meant to be another variant.',
    find: ({ part }) =>
      [...new Set(part.orderCodes.filter((c, i, all) => all.indexOf(c) !== i))].map((code) => ({
        where: { field: 'orderCodes' },
        message: `Order code ${code} stands twice.`,
        mends: [{ label: 'keep one', edit: { kind: 'setFields', set: { orderCodes: [...new Set(part.orderCodes)] } } }],
      })),
  },
  {
    id: 'base-name-suffix',
    family: 'identity',
    severity: 'note',
    title: 'The base name carries a package',
    why: 'The family name is what people search; the package belongs to the order code.',
    find: ({ part }) =>
      part.baseName && packageIn(part.baseName)
        ? [
            {
              where: { field: 'baseName' },
              message: `The base name ${part.baseName} carries the package ${packageIn(part.baseName)!.name}.`,
            },
          ]
        : [],
  },
  {
    id: 'field-twice',
    family: 'identity',
    severity: 'warning',
    title: 'A free field stands twice',
    why: 'Exports keep one of the two, and nobody can tell which.',
    find: ({ part }) =>
      [...new Set(part.fields.map((f) => f.name).filter((n, i, all) => all.indexOf(n) !== i))].map((name) => ({
        where: { field: name },
        message: `The field ${name} stands twice.`,
      })),
  },
];
