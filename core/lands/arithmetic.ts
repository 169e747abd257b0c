import type { Family } from './family';

const mm = (value: number): string => (Math.round(value * 1e4) / 1e4).toFixed(2).replace(/(\.\d\d)0+$/, '$1');

/** `3.10 / 2 = 1.55`: one step of how a pad's place follows from what the datasheet gives. All in mm. */
export interface ArithmeticStep {
  what: string;
  how: string;
}

/** How the pads' places are computed from a family's dimensions, so that a person can check each with the datasheet. */
export function arithmeticOf(family: Family): ArithmeticStep[] {
  const steps: ArithmeticStep[] = [];
  const add = (what: string, how: string) => steps.push({ what, how });
  const half = (what: string, value: number) => add(what, `${mm(value)} / 2 = ${mm(value / 2)}`);
  const firstOf = (what: string, count: number, pitch: number) =>
    add(what, `(${count} − 1) × ${mm(pitch)} / 2 = ${mm(((count - 1) * pitch) / 2)}`);
  if ('span' in family) {
    const isToes = family.spanOver === 'toes';
    if (isToes) add('between pad centres', `${mm(family.span)} − ${mm(family.length)} = ${mm(family.span - family.length)}`);
    half('centre line of a row', isToes ? family.span - family.length : family.span);
  }
  switch (family.kind) {
    case 'dual':
      firstOf('first pad from the middle', family.count / 2, family.pitch);
      break;
    case 'quad':
      firstOf('first pad from the middle', family.count / 4, family.pitch);
      break;
    case 'outline':
      firstOf('first pad from the middle', family.leads === 8 ? 4 : 3, family.pitch);
      break;
    case 'inline':
      firstOf('first pad from the middle', family.count, family.pitch);
      if (family.tab) half('tab and leads from the middle', family.tab.distance);
      break;
    case 'grid':
    case 'header':
    case 'array':
      firstOf('first column from the middle', family.columns, family.pitch);
      firstOf('first row from the middle', family.rows, ('rowPitch' in family ? family.rowPitch : undefined) ?? family.pitch);
  }
  if ('length' in family && 'span' in family) {
    const centres = family.spanOver === 'toes' ? family.span - family.length : family.span;
    add('over the toes', `${mm(centres)} + ${mm(family.length)} = ${mm(centres + family.length)}`);
    add('between the heels', `${mm(centres)} − ${mm(family.length)} = ${mm(centres - family.length)}`);
  }
  if ('pitch' in family && 'width' in family)
    add('between two pads', `${mm(family.pitch)} − ${mm(family.width)} = ${mm(family.pitch - family.width)}`);
  return steps;
}
