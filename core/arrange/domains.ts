import { anyNumber, carriesPower, groupBy, type Pin, type Side } from '../part';

/** A ground or a rail of one of two sides by its name: GND1, VCC2, VDDA, GND_ISO, VISO. */
const OF_SIDE = /^(?:P|S)?(?:GND|VSS|VCC|VDD|COM|V)_?(1|2|A|B|I|O|ISO|LOGIC|BUS|PRI|SEC)$|^(?:GISO|VISO|ISOGND)$/i;
/** That the sides are apart: words of an isolator, or of its sides. */
const APART = /\bisolat|\bgalvanic|\bside [12AB]\b|\b(logic|bus|primary|secondary|input|output|low-voltage|high-voltage)[- ]side\b/i;
/** Pins that an isolator has at least. */
const LEAST = 8;

/**
 * The sides of a package that an isolator's pins are on, where its two sides are apart: numbers in two rows, each with a ground
 * of its own, and words of an isolation. Such a part is read as its package is: what is on one side of the barrier stands on one
 * side of the drawing. By pin id; undefined for any other part.
 */
export function domainsOf(pins: readonly Pin[]): ReadonlyMap<string, Side> | undefined {
  const numbers = pins.map((p) => Number(anyNumber(p)));
  const most = numbers.length;
  if (most < LEAST || most % 2 === 1 || new Set(numbers).size !== most || numbers.some((n) => !(n >= 1 && n <= most))) return undefined;
  const sideOf = new Map(pins.map((p, i): [string, Side] => [p.id, numbers[i]! <= most / 2 ? 'left' : 'right']));
  const power = (side: Side) => pins.filter((p) => carriesPower(p.type) && sideOf.get(p.id) === side);
  const [left, right] = [power('left'), power('right')];
  const namesOf = (side: readonly Pin[]) => new Set(side.map((p) => p.name));
  const hasOwn = (side: readonly Pin[]) => side.some((p) => p.type === 'ground' && OF_SIDE.test(p.name)) && side.some((p) => p.type !== 'ground'); // prettier-ignore
  const areApart = hasOwn(left) && hasOwn(right) && ![...namesOf(left)].some((name) => namesOf(right).has(name));
  return areApart && pins.some((p) => APART.test(p.description ?? '')) ? sideOf : undefined;
}

/** The side that a name's last character tells: A and 1 are the one side of a translator, B and 2 the other. */
const SIDE_OF: Readonly<Record<string, Side>> = { A: 'left', B: 'right', '1': 'left', '2': 'right' };

/**
 * The sides of what translates between two rails, `VREF1` and `VREF2`, each line of which is on both: `SCL1` stands across from
 * `SCL2`, each rail with its own. By pin id; nothing for any other part.
 */
export function translated(pins: readonly Pin[]): [string, Side][] {
  const rails = pins.filter((p) => p.type === 'supply-in');
  const lines = pins.filter((p) => p.type === 'bidirectional');
  const areBoth = (of: readonly Pin[]) =>
    of.length === 2 &&
    of
      .map((p) => p.name.at(-1))
      .sort()
      .join('') in { AB: 1, '12': 1 };
  const inTwos = (of: readonly Pin[]) => [...groupBy(of, (p) => p.name.slice(0, -1)).values()].every(areBoth);
  const isOne = rails.length === 2 && lines.length >= 4 && inTwos(rails) && inTwos(lines);
  return isOne ? [...rails, ...lines].map((p) => [p.id, SIDE_OF[p.name.at(-1)!]!]) : [];
}
