import { carriesPower, goesOut, nameOnDrawing, type Pin } from '../part';
import type { ShapeName } from '../shapes';
import { rolesOf, withoutChannel } from '../spice';

/** Roles by what is counted, not named: the ends of a resistor, the contacts of a relay. */
export const isCounted = (role: string): boolean => /^([12345]|[ps][12]|coil[12]|contact[12]|~[12]|wiper)$/.test(role);

/** What ends that are counted may be called: one that is called a winding's tap is neither of its ends. */
const CALLED: readonly [what: string, words: RegExp][] = [
  ['p', /\bprimary\b|^p\d?$/i],
  ['s', /\bsecondary\b|^s\d?$/i],
  ['tap', /\btap\b|^c\.?t\.?\d?$/i],
  ['coil', /\bcoil\b|^a[12]$/i],
  ['contact', /\bcontact\b|^(com|no|nc)\d?$/i],
  ['wiper', /\bwiper\b|^[pr]?w\d?$/i],
  ['throw', /\bthrow\b/i],
];
const calledOf = (pin: Pin): string[] =>
  CALLED.filter(([, words]) => words.test(pin.name) || words.test(pin.description ?? '')).map(([what]) => what);

/** Whether a pin is called the wiper of a potentiometer. */
export const isWiper = (pin: Pin): boolean => calledOf(pin).includes('wiper');

function canBeEnd(pin: Pin, role: string): boolean {
  if (pin.type !== 'passive' && pin.type !== 'unspecified') return false;
  const called = calledOf(pin);
  if (/tap$/.test(role)) return called.includes('tap') && !called.includes(role.startsWith('p') ? 's' : 'p');
  const what = role.replace(/\d$/, '');
  if (what === '' || what === '~') return !called.includes('wiper');
  return called.length === 0 || (called.includes(what) && !called.includes('tap'));
}

/** True where nothing but a pin's number tells which of a shape's ends it is. */
export const isCountedOnly = (pin: Pin, role: string): boolean => isCounted(role) && !role.startsWith('~') && calledOf(pin).length === 0;

/** Shapes that the names of their ends tell: no other part has a gate between collector and emitter. */
const TOLD: ReadonlyMap<ShapeName, { role: string; name?: RegExp }> = new Map([
  ['igbt', { role: 'gate' }],
  ['triac', { role: 'gate' }],
  ['zener', { role: 'reference' }],
  ['bridge', { role: '~1', name: /^~|^AC/i }],
]);

/** Whether the names of a unit's pins can tell a shape at all. */
export const canTell = (shape: ShapeName): boolean => TOLD.has(shape);

/** Whether the names of its ends alone tell a shape; what goes in, a gate, is the only one of them that is not passive. */
export function tellsShape(shape: ShapeName, bound: readonly { port: { role: string }; pin: Pin }[]): boolean {
  const by = TOLD.get(shape);
  return (
    by !== undefined &&
    bound.some(({ port, pin }) => port.role === by.role && (by.name?.test(pin.name) ?? true)) &&
    bound.every(({ port, pin }) => pin.type === 'passive' || (pin.type === 'input' && /^(gate|reference)$/.test(port.role)))
  );
}

/** The roles of a pin by its name, with and without its channel, or by its description where the name has none. */
function rolesOfPin(pin: Pin): ReadonlySet<string> {
  const name = nameOnDrawing(pin);
  const own = new Set([...rolesOf(name), ...rolesOf(withoutChannel(name))]);
  return own.size > 0 ? own : rolesOf(withoutChannel(pin.description ?? ''));
}

const isKelvin = ({ name, description }: Pin): boolean =>
  /^\d?(KS|SK|KE|EK)\d?$/i.test(name) || /\bkelvin\b|\bdriver source\b|\bauxiliary (emitter|source)\b/i.test(description ?? '');

/** True where a pin's name, type or words allow it at a shape's port of a role. */
export function canBe(pin: Pin, role: string): boolean {
  if (isCounted(role) || / tap$/.test(role)) return canBeEnd(pin, role);
  const roles = rolesOfPin(pin);
  if (isKelvin(pin) || role === 'kelvin') return isKelvin(pin) && role === 'kelvin';
  if (role === 'anode and cathode') return ['anode', 'cathode'].every((end) => rolesOf(pin.description ?? '').has(end));
  const name = withoutChannel(nameOnDrawing(pin));
  if (role === '+' || role === '-') return name.replace('−', '-').endsWith(role) || roles.has(role === '+' ? 'anode' : 'cathode');
  if (role === 'supply-' && pin.type === 'ground') return true;
  if (role === 'ground' || role.startsWith('supply'))
    return (
      carriesPower(pin.type) &&
      (roles.has(role) ||
        (role === 'ground' ? pin.type === 'ground' : role === 'supply+' && pin.type === 'supply-in' && !roles.has('supply-')))
    );
  if (roles.has(role)) return role !== 'input' || !goesOut(pin.type);
  // Neither end of a pole is closed before the other.
  if (/^normally/.test(role)) return pin.type === 'passive' && calledOf(pin).includes('throw');
  if (role === 'common') return pin.type === 'passive' && /\bcommon\b.*\bpole\b|\bpole\b.*\bcommon\b/i.test(pin.description ?? '');
  if (role === 'input') return pin.type === 'input' && !['in+', 'in-', 'enable', 'bypass', 'feedback'].some((r) => roles.has(r));
  return role === 'output' && goesOut(pin.type);
}
