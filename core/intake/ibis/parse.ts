import { ok, problem, refuse, type Problem, type Result } from '../../part';

/** A row of [Pin]: `A1  D0  io_model  [R_pin L_pin C_pin]`. */
export interface IbisPin {
  number: string;
  signal: string;
  /** Empty where its row has none. */
  model: string;
  line: number;
}

export interface IbisComponent {
  name: string;
  line: number;
  pins: IbisPin[];
  /** [Diff Pin]: the non-inverting pin and its inverting one. */
  pairs: [string, string][];
  /** [Pin Mapping]: the power rail of a pin's upper side. */
  rails: Map<string, string>;
}

export interface Ibis {
  components: IbisComponent[];
  /** The first component's. */
  maker?: string;
  /** Model_type by model name, both in lower case. */
  types: Map<string, { type: string; line: number }>;
  /** [Model Selector]: the models that a name stands for, the default first. */
  selectors: Map<string, string[]>;
  /** Rows that say too little. */
  problems: Problem[];
}

const KEYWORD = /^\s*\[([^\]]+)\]\s*(.*)$/;
const plain = (keyword: string): string =>
  keyword
    .trim()
    .toLowerCase()
    .replace(/[_\s]+/g, ' ');
const NA = /^(na|nc|n\/a)$/i;

/** Parses what an IBIS file (IEC 62014-1) says of pins: components, model types, selectors, pairs, rails. */
export function parseIbis(text: string, file?: string): Result<Ibis> {
  const ibis: Ibis = { components: [], types: new Map(), selectors: new Map(), problems: [] };
  let [section, comment, model] = ['', '|', ''];
  let selector: string[] = [];
  let line = 0;
  for (const raw of text.split(/\r\n?|\n/)) {
    line++;
    const own = raw.split(comment)[0]!.trimEnd();
    const keyword = KEYWORD.exec(own);
    const component = ibis.components.at(-1);
    if (keyword) {
      section = plain(keyword[1]!);
      const value = keyword[2]!.trim();
      if (section === 'comment char') comment = /^(\S)_char$/i.exec(value)?.[1] ?? comment;
      else if (section === 'component')
        ibis.components.push({ name: value || `component ${ibis.components.length + 1}`, line, pins: [], pairs: [], rails: new Map() });
      else if (section === 'manufacturer') ibis.maker ??= value;
      else if (section === 'model') model = value.toLowerCase();
      else if (section === 'model selector') ibis.selectors.set(value.toLowerCase(), (selector = []));
      else if (section === 'end') break;
      if (['pin', 'diff pin', 'pin mapping'].includes(section) && !component)
        return refuse(problem('ibis-order', { keyword: keyword[1]! }, { file, line }));
      continue;
    }
    const cells = own.trim().split(/\s+/);
    if (own.trim() === '') continue;
    if (section === 'pin') {
      const [number = '', signal, pinModel = ''] = cells;
      if (signal === undefined || pinModel === '') ibis.problems.push(problem('ibis-pin', { text: own.trim() }, { file, line }));
      if (signal !== undefined) component!.pins.push({ number, signal, model: pinModel, line });
    } else if (section === 'diff pin' && cells.length >= 2) component!.pairs.push([cells[0]!, cells[1]!]);
    else if (section === 'pin mapping' && cells.length >= 3 && !NA.test(cells[2]!)) component!.rails.set(cells[0]!, cells[2]!);
    else if (section === 'model selector') selector.push(cells[0]!.toLowerCase());
    else if (section === 'model' && /^model_type$/i.test(cells[0]!) && cells[1])
      ibis.types.set(model, { type: cells[1].toLowerCase(), line });
  }
  return ok(ibis);
}
