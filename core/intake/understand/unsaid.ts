import { isShell, isSignal, type ElectricalType } from '../../part';
import { isTypeAsked, isTypeTold, type Terminal } from '../proposal';

/** What feeds a part, or leaves it regulated, by a name that signals have as well. */
const [IN, OUT] = [/^V?IN\d?\+?$/i, /^V?OUT\d?\+?$/i];
const railOf = (name: string): ElectricalType | undefined => (IN.test(name) ? 'supply-in' : OUT.test(name) ? 'supply-out' : undefined);

const BARE = /^\W*(?:positive )?(?:in|out)put(?: voltage)?\W*$/i;

/**
 * A part with a ground and no supply is fed by something: where nothing but the name IN, or VIN, says that it is a signal, it is
 * asked, and so is OUT.
 */
export function doubtUnfed(terminals: readonly Terminal[]): void {
  const has = (type: ElectricalType) => terminals.some((t) => t.type === type);
  if (!has('ground') || has('supply-in') || !terminals.some((t) => IN.test(t.name))) return;
  for (const t of terminals) {
    const rail = railOf(t.name);
    // `Output` says no more than VOUT does.
    const isOfName = t.description === undefined ? /^name /.test(t.because['type'] ?? '') : BARE.test(t.description);
    if (!rail || !isOfName || isTypeAsked(t)) continue;
    const reason = `Taken for ${t.type}, but nothing else feeds the part.`;
    t.doubts = [...t.doubts, { field: 'type', reason, candidates: [t.type, rail] }];
  }
}

/**
 * What comes out where a supply goes in as IN is a rail, or the output of a switch or an amplifier: where a plain `Output` is all
 * that is said of it, it is asked.
 */
export function doubtRailOut(terminals: readonly Terminal[]): void {
  if (!terminals.some((t) => t.type === 'supply-in' && IN.test(t.name))) return;
  for (const t of terminals) {
    if (t.type !== 'output' || !OUT.test(t.name) || isTypeAsked(t) || !BARE.test(t.description ?? 'output')) continue;
    const reason = 'Taken for output, but where IN is a supply what comes out may be a rail.';
    t.doubts = [...t.doubts, { field: 'type', reason, candidates: ['output', 'supply-out', 'passive'] }];
  }
}

/**
 * Contacts in a shell are of a connector, through which signals pass: what their names alone say of a direction is that of the
 * equipment behind it, and is asked.
 */
export function doubtContacts(terminals: readonly Terminal[]): void {
  if (!terminals.some(isShell)) return;
  for (const t of terminals) {
    if (!isSignal(t.type) || t.type === 'passive' || isTypeTold(t) || isTypeAsked(t)) continue;
    const reason = `Taken for ${t.type}, but a part with a shell is a connector, whose contacts are often called passive.`;
    t.doubts = [...t.doubts, { field: 'type', reason, candidates: [t.type, 'passive'] }];
  }
}
