import type { ElectricalType } from '../../part';
import { isTypeAsked, type Terminal } from '../proposal';

/** Leads of discrete parts by their letters, with what a person calls them. */
const DEVICES: { leads: Record<string, ElectricalType>; what: string }[] = [
  { leads: { D: 'passive', S: 'passive', G: 'input' }, what: 'drain, gate and source of a transistor' },
  { leads: { C: 'passive', E: 'passive', B: 'input' }, what: 'collector, base and emitter of a transistor' },
  { leads: { A: 'passive', K: 'passive' }, what: 'anode and cathode of a diode' },
];

/** A lead's letter: `D` of D, D1 and 1D. */
const letterOf = (name: string): string | undefined => /^\d?([A-Z])\d?$/.exec(name.toUpperCase())?.[1];

/**
 * Where all terminals are leads of transistors or diodes, `S1`, `G1`, `D1`, their letters say what they are: alone D1 reads
 * as a bit of data. Only types that the source itself does not tell are set.
 */
export function recogniseLeads(terminals: readonly Terminal[]): void {
  const own = terminals.filter((t) => t.type !== 'no-connect' && !/^(EP|TAB|PAD)\d?$/i.test(t.name));
  const letters = new Set(own.map((t) => letterOf(t.name)));
  const device = DEVICES.find(({ leads }) => letters.size === Object.keys(leads).length && Object.keys(leads).every((l) => letters.has(l)));
  if (!device) return;
  for (const t of own) {
    const type = device.leads[letterOf(t.name)!]!;
    // Whatever else says it, a column, a legend, words or a model, outweighs a letter.
    const isSaid = t.description !== undefined || !/^(name |nothing )/.test(t.because['type'] ?? 'nothing ');
    if (t.type === type || (isSaid && !isTypeAsked(t))) continue;
    t.type = type;
    t.because['type'] = device.what;
    t.doubts = t.doubts.filter((d) => d.field !== 'type');
  }
}
