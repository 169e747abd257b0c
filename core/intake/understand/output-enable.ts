import { isTypeAsked, type Terminal } from '../proposal';

const SAYS_THREE_STATE = /\b(3|three|tri)-?\s?state\b/i;
const isEnable = (t: Terminal): boolean =>
  /^\d?n?OE(_?[BN]|[ABN#*])?\d?$/i.test(t.name) || /\boutput[- ]enable\b/i.test(t.description ?? '');

/**
 * `Buffer with 3-state outputs` stands over the table and not in its rows: where a terminal enables outputs, those that are
 * told as plain ones are asked.
 */
export function doubtPlainOutputs(terminals: readonly Terminal[], titles: readonly string[]): void {
  const said = titles.map((t) => SAYS_THREE_STATE.exec(t)?.[0]).find((t) => t !== undefined);
  if (said === undefined || !terminals.some(isEnable)) return;
  for (const t of terminals)
    if (t.type === 'output' && !isTypeAsked(t))
      t.doubts = [
        ...t.doubts,
        {
          field: 'type',
          reason: `Taken for output, but “${said}” stands over the table, and a terminal enables outputs.`,
          candidates: ['output', 'three-state', 'passive'],
        },
      ];
}
