import { remember, type ElectricalType } from '../part';
import { rolesOf, withoutMark } from './roles';

/** Names that are something else by the pin's type: a supply or a terminal of a transistor in other parts. */
const OTHERWISE: Record<string, { role: string; types: readonly ElectricalType[] }> = {
  VC: { role: 'compensation', types: ['passive', 'input', 'output', 'bidirectional'] },
  VS: { role: 'switch', types: ['passive', 'output', 'bidirectional'] },
  // The product that a multiplier gives; a wiper is none.
  W: { role: 'output', types: ['output'] },
  SRC: { role: 'sourcing output', types: ['output', 'three-state'] },
  D: { role: 'data input', types: ['input'] },
  E: { role: 'enable', types: ['input'] },
  G: { role: 'gate drive', types: ['output'] },
  LIN: { role: 'bus', types: ['bidirectional', 'passive'] },
};

/** What a pin of a role is besides by its type: VIN and IN that are a supply are the power input too. */
const BESIDES: readonly [type: ElectricalType, role: string, is: string][] = [
  ['supply-in', 'input', 'supply+'],
  ['supply-in', 'battery', 'supply+'],
  ['supply-out', 'output', 'reference output'],
  // What a converter makes for itself is its VCC.
  ['supply-out', 'internal supply', 'supply+'],
  ['supply-out', 'reference', 'reference output'],
  // How fast it starts is how fast its output rises.
  ['passive', 'slew', 'soft start'],
  ['passive', 'soft start', 'slew'],
  ['input', 'undervoltage', 'enable'],
  // A pump's output is an inverted one.
  ['supply-out', 'output', 'out-'],
  ['open-drain', 'reset', 'reset output'],
  ['output', 'reset', 'reset output'],
  ['output', 'clock', 'clock output'],
  ['output', 'output', 'clock output'],
  ['output', 'output', 'gate drive'],
  ['output', 'output', 'high-side output'],
  // A converter's output is its switch where it has no other.
  ['output', 'output', 'switch'],
  ['open-drain', 'receive data', 'reset output'],
];

/** What a pin of a type cannot be; A of a switch that goes both ways is no input. */
const NEVER: Partial<Record<ElectricalType, readonly string[]>> = {
  input: ['output', 'true output'],
  output: ['input', 'data input'],
  bidirectional: ['input'],
  passive: ['input'],
};

/** The type and the name of a pin, with a blank between, and its roles. */
const rolesByName = remember((typed: string): { own: ReadonlySet<string>; besides: ReadonlySet<string> } => {
  const at = typed.indexOf(' ');
  const [type, name] = [typed.slice(0, at) as ElectricalType, typed.slice(at + 1)];
  const other = OTHERWISE[withoutMark(name).toUpperCase()];
  if (other?.types.includes(type)) return { own: new Set([other.role]), besides: new Set() };
  const marked = new Set([name, ...(/\w\/\w/.test(name) ? name.split('/') : [])].flatMap((text) => [...rolesOf(text)]));
  const own = marked.size > 0 ? marked : new Set([...rolesOf(withoutMark(name))].filter((role) => role !== 'enable'));
  // VBB may be a battery's or a motor's, and is the supply either way.
  const isAlone = type !== 'supply-in' || own.size === 1 || own.has('battery');
  const besides = BESIDES.filter(([of, role]) => of === type && own.has(role) && isAlone);
  return { own: new Set([...own].filter((role) => !NEVER[type]?.includes(role))), besides: new Set(besides.map(([, , is]) => is)) };
});

/** The roles of a pin by its name and type. A mark of active low says nothing of them, but for an enable: ~SHDN may be EN, or not. */
export const rolesOfPin = ({ name, type }: Typed): ReadonlySet<string> => rolesByName(`${type} ${name}`).own;

/** What a pin is besides where nothing else is: VIN of a part that has no other supply. */
export const besidesOfPin = ({ name, type }: Typed): ReadonlySet<string> => rolesByName(`${type} ${name}`).besides;

/** All that a pin can be. */
export const allRolesOfPin = (pin: Typed): ReadonlySet<string> => new Set([...rolesOfPin(pin), ...besidesOfPin(pin)]);

interface Typed {
  name: string;
  type: ElectricalType;
}
