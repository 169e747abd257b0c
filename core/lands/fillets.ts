import { hundredthsOfMm as round } from './round-mm';

/** How far a pad reaches beyond a lead, in mm, at the nominal density level of IPC-7351B: outside, inside and at its sides. */
interface Fillets {
  toe: number;
  heel: number;
  side: number;
}

/** Gull wings at a pitch over this, in mm, have a fillet at their sides too. */
const FINE_PITCH = 0.625;

export const gullWings = (pitch: number): Fillets => ({ toe: 0.35, heel: 0.35, side: pitch > FINE_PITCH ? 0.03 : -0.02 });
export const NO_LEADS: Fillets = { toe: 0.3, heel: 0, side: -0.04 };

/** Pads for leads that end `over` apart with feet of a length, in mm: the pads' length, and the span between their centres. */
export function padsOfLeads(over: number, foot: number, { toe, heel }: Fillets): { length: number; span: number } {
  const length = round(foot + toe + heel);
  return { length, span: round(over + 2 * toe - length) };
}
