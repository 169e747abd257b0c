import { ok, refuse, type Result } from '../../part';
import { Cursor, Unexpected } from './cursor';
import { tokensOf, type Token } from './tokens';

/**
 * `D : inout bit_vector(0 to 7);`
 *  ^name ^direction   ^indices, in the order declared; undefined for a single bit
 */
export interface Port {
  name: string;
  direction: string;
  indices?: number[];
  line: number;
}

/** `D : (B1, B2, B3)` of a PIN_MAP_STRING: the pins in the order of the port's indices. */
export interface MapEntry {
  port: string;
  pins: { number: string; line: number }[];
  line: number;
}

/** `1 (BC_1, Q(0), output3, X, 2, 1, Z)` of the boundary register. */
export interface RegisterCell {
  port: string;
  index?: number;
  function: string;
  /** What the output does when disabled: Z, WEAK0, WEAK1, PULL0, PULL1, KEEPER. */
  disabled?: string;
}

export interface Bsdl {
  entity: string;
  ports: Port[];
  maps: { name: string; entries: MapEntry[]; line: number }[];
  cells: RegisterCell[];
  /** Members of PORT_GROUPING, the representative port first. */
  pairs: { first: PortRef; second: PortRef; line: number }[];
  /** Ports of the test access port by attribute, `TAP_SCAN_RESET` and so on. */
  tap: Map<string, string>;
}

export interface PortRef {
  port: string;
  index?: number;
}

/** Parses a BSDL entity (IEEE 1149.1-2013, annex B). Refused at the first line that cannot be read. */
export function parseBsdl(text: string, file?: string): Result<Bsdl> {
  const tokens = tokensOf(text, file);
  if (!tokens.ok) return tokens;
  const lastLine = text.split('\n').length;
  try {
    return ok(entityOf(new Cursor(tokens.value, file, lastLine), file));
  } catch (error) {
    if (error instanceof Unexpected) return refuse(error.problem);
    throw error;
  }
}

function entityOf(c: Cursor, file: string | undefined): Bsdl {
  while (!c.done && !c.is('entity')) c.next();
  c.expect('entity');
  const bsdl: Bsdl = { entity: c.word('the entity’s name').text, ports: [], maps: [], cells: [], pairs: [], tap: new Map() };
  c.expect('is');
  while (!c.is('end')) {
    if (c.done) c.fail(`“end ${bsdl.entity};”`);
    if (c.is('port') && c.is('(', 1)) bsdl.ports.push(...portsOf(c));
    else if (c.is('constant')) constantOf(c, bsdl, file);
    else if (c.is('attribute')) attributeOf(c, bsdl, file);
    else c.skipStatement();
  }
  return bsdl;
}

const DIRECTIONS = /^(in|out|inout|buffer|linkage|linkage_(in|out|inout|buffer|mechanical)|power_(0|pos|neg)|vref_(in|out))$/i;

function portsOf(c: Cursor): Port[] {
  const ports: Port[] = [];
  c.expect('port');
  c.expect('(');
  while (!c.is(')')) {
    const names = [c.word('a port’s name')];
    while (c.accept(',')) names.push(c.word('a port’s name'));
    c.expect(':', '“:” after the port’s name');
    if (!DIRECTIONS.test(c.peek()?.text ?? '')) c.fail('a direction (in, out, inout, buffer, linkage)');
    const direction = c.next()!.text.toLowerCase();
    if (!c.is('bit') && !c.is('bit_vector')) c.fail('bit or bit_vector');
    const type = c.next()!.text.toLowerCase();
    const indices = type === 'bit_vector' ? rangeOf(c) : undefined;
    for (const name of names) ports.push({ name: name.text, direction, line: name.line, ...(indices ? { indices } : {}) });
    if (!c.is(')')) c.expect(';', '“;” or “)” after a port');
  }
  c.expect(')');
  c.expect(';', '“;” after the ports');
  return ports;
}

const MOST = 20_000;

/** `(0 to 7)` or `(7 downto 0)`. */
function rangeOf(c: Cursor): number[] {
  c.expect('(', '“(” and a range after bit_vector');
  const from = Number(c.word('a number').text);
  const isDown = c.is('downto');
  if (!isDown && !c.is('to')) c.fail('“to” or “downto”');
  c.next();
  const to = Number(c.word('a number').text);
  if (!Number.isInteger(from) || !Number.isInteger(to) || Math.abs(to - from) > MOST || (isDown ? to > from : from > to))
    c.fail('a range in its direction');
  c.expect(')');
  return Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => (isDown ? from - i : from + i));
}

function constantOf(c: Cursor, bsdl: Bsdl, file: string | undefined): void {
  c.expect('constant');
  const name = c.word('the constant’s name');
  c.expect(':');
  const isMap = c.is('pin_map_string');
  if (!isMap) return c.skipStatement();
  c.next();
  c.expect(':=', '“:=”');
  bsdl.maps.push({ name: name.text, entries: mapOf(stringOf(c, file)), line: name.line });
}

/** The tokens in strings that `&` puts together, up to the semicolon; each keeps its line. */
function stringOf(c: Cursor, file: string | undefined): Cursor {
  const tokens: Token[] = [];
  let last = c.peek()?.line ?? 1;
  do {
    const part = c.peek();
    if (part?.kind !== 'string') c.fail('a string');
    last = part!.line;
    const inner = tokensOf(part!.text, file, part!.line);
    if (inner.ok) for (const t of inner.value) tokens.push(t);
    c.next();
  } while (c.accept('&'));
  c.expect(';', '“&” or “;” after a string');
  return new Cursor(tokens, file, last);
}

function mapOf(c: Cursor): MapEntry[] {
  const entries: MapEntry[] = [];
  while (!c.done) {
    const port = c.word('a port’s name in the pin map');
    c.expect(':', `“:” after ${port.text} in the pin map`);
    const pins: MapEntry['pins'] = [];
    const pin = () => {
      const token = c.word('a pin');
      pins.push({ number: token.text, line: token.line });
    };
    if (c.accept('(')) {
      pin();
      while (c.accept(',')) pin();
      c.expect(')', '“,” or “)” between pins');
    } else pin();
    entries.push({ port: port.text, pins, line: port.line });
    if (!c.done) c.expect(',', '“,” between ports of the pin map');
  }
  return entries;
}

function attributeOf(c: Cursor, bsdl: Bsdl, file: string | undefined): void {
  c.expect('attribute');
  const name = c.word('the attribute’s name').text.toUpperCase();
  if (/^TAP_SCAN_/.test(name)) {
    c.expect('of');
    bsdl.tap.set(name, c.word('a port').text);
    return c.skipStatement();
  }
  if (name !== 'PORT_GROUPING' && name !== 'BOUNDARY_REGISTER') return c.skipStatement();
  while (!c.is('is') && !c.done) c.next();
  c.expect('is');
  const inner = stringOf(c, file);
  if (name === 'PORT_GROUPING') bsdl.pairs.push(...groupsOf(inner));
  else bsdl.cells.push(...cellsOf(inner));
}

/** `Q(3)` or `Q`. */
function refOf(c: Cursor): PortRef {
  const port = c.word('a port').text;
  if (!c.accept('(')) return { port };
  const index = Number(c.word('an index').text);
  c.expect(')');
  return { port, index };
}

/** `Differential_Voltage ((A_P, A_N), (B_P, B_N))` */
function groupsOf(c: Cursor): Bsdl['pairs'] {
  const pairs: Bsdl['pairs'] = [];
  while (!c.done) {
    c.word('Differential_Voltage or Differential_Current');
    c.expect('(');
    do {
      const line = c.expect('(', '“(” before a pair').line;
      const first = refOf(c);
      c.expect(',');
      const second = refOf(c);
      c.expect(')');
      pairs.push({ first, second, line });
    } while (c.accept(','));
    c.expect(')');
    c.accept(',');
  }
  return pairs;
}

function cellsOf(c: Cursor): RegisterCell[] {
  const cells: RegisterCell[] = [];
  while (!c.done) {
    c.word('a cell’s number');
    c.expect('(', '“(” after a cell’s number');
    c.word('a cell’s type');
    c.expect(',');
    const ref = c.accept('*') ? { port: '*' } : refOf(c);
    c.expect(',');
    const kind = c.word('a cell’s function').text.toUpperCase();
    const rest: string[] = [];
    for (let depth = 0; !c.done && !(depth === 0 && c.is(')'));) {
      const token = c.next()!;
      if (token.text === '(') depth++;
      if (token.text === ')') depth--;
      if (token.text !== ',') rest.push(token.text);
    }
    c.expect(')', '“)” after a cell');
    cells.push({ ...ref, function: kind, ...(rest[3] ? { disabled: rest[3].toUpperCase() } : {}) });
    if (!c.done) c.expect(',', '“,” between cells');
  }
  return cells;
}
