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
  for (const t of terminals) askOutput(t, `“${said}” stands over the table, and a terminal enables outputs`);
}

const FLOATS = '(?:in(?:to)? )?(?:an? |the )?(?:high[- ]?impedance|hi-?z|(?:3|three|tri)-?\\s?state[ds]?)\\b';
/** `makes SDO high impedance`, `RO is high impedance when RE is high`. */
const FLOATS_BY_ANOTHER = new RegExp(
  `\\b(?:(?:makes?|puts?|places?|sets?|forces?|leaves?|turns?) (?:the )?([A-Z][A-Z0-9_+-]{1,24})|([A-Z][A-Z0-9_+-]{1,24}) (?:is|goes|becomes|stays|remains)) ${FLOATS}`,
  'g',
);

/** `Q0 to Q7 float while high`, `DOUT floats`. */
const FLOATS_ITSELF = /\b([A-Z][A-Z0-9_]{0,14}?)(\d{0,3})(?: ?(?:to|-|–|\.{2,3}) ?([A-Z][A-Z0-9_]{0,14}?)(\d{1,3}))? floats?\b/g;
/** Nearly all descriptions speak of no such thing, and then need no closer look. */
const MAY_FLOAT = /imped|hi-?z|state|float/i;

/** Said at the select, and true of the data: an output that floats while another terminal says so is asked. */
export function doubtFloating(terminals: readonly Terminal[]): void {
  for (const by of terminals) {
    if (by.description === undefined || !MAY_FLOAT.test(by.description)) continue;
    for (const said of by.description.matchAll(FLOATS_BY_ANOTHER)) {
      const name = said[1] ?? said[2];
      for (const t of terminals) if (t !== by && t.name === name) askOutput(t, `“${said[0]}” stands at ${by.name}`);
    }
    for (const [said, stem = '', from = '', until, to] of by.description.matchAll(FLOATS_ITSELF)) {
      const isNamed = ({ name }: Terminal) => {
        if (until === undefined) return name === stem + from;
        const figure = until === stem && name.startsWith(stem) ? name.slice(stem.length) : '';
        return /^\d{1,3}$/.test(figure) && Number(figure) >= Number(from) && Number(figure) <= Number(to);
      };
      for (const t of terminals) if (t !== by && isNamed(t)) askOutput(t, `“${said}” stands at ${by.name}`);
    }
  }
}

/** Asks a plain output, unless it is asked already. */
function askOutput(t: Terminal, because: string): void {
  if (t.type !== 'output' || isTypeAsked(t)) return;
  const reason = `Taken for output, but ${because}.`;
  t.doubts = [...t.doubts, { field: 'type', reason, candidates: ['output', 'three-state', 'passive'] }];
}
