import { carriesPower, groupBy, problem, refuse, type Doubt, type ElectricalType, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions, Terminal } from '../proposal';
import { levelDoubt, readActiveLow } from '../table/active-low';
import { propose } from '../table/understand';
import { inferType } from '../understand/infer-type';
import { parseBsdl, type Bsdl, type Port, type PortRef, type RegisterCell } from './parse';

/** What a port's direction says by itself (IEEE 1149.1-2013, B.8.3); linkage ports say nothing. */
const DIRECTION: Record<string, ElectricalType> = {
  in: 'input',
  out: 'output',
  buffer: 'output',
  inout: 'bidirectional',
  linkage_in: 'input',
  linkage_out: 'output',
  linkage_inout: 'bidirectional',
  linkage_buffer: 'output',
  linkage_mechanical: 'passive',
  power_0: 'ground',
  power_pos: 'supply-in',
  power_neg: 'supply-in',
  vref_in: 'input',
  vref_out: 'supply-out',
};

/** Reads every package of a BSDL file: types from directions and cell functions, linkage ports by their names. */
export function readBsdl(text: string, options: ReadOptions = {}): Result<Proposal> {
  const { file } = options;
  const parsed = parseBsdl(text.replace(/\r\n?/g, '\n'), file);
  if (!parsed.ok) return parsed;
  const bsdl = parsed.value;
  if (bsdl.maps.length === 0) return refuse(problem('bsdl-map', { entity: bsdl.entity }, { file }));
  const problems: Problem[] = [];
  const terminals = terminalsOf(bsdl, problems, file);
  const names = bsdl.maps.map((m) => m.name);
  const view = options.package === undefined ? names[0] : names.find((n) => n.toLowerCase() === options.package!.toLowerCase());
  const title = /^\s*--+\s*(.*\S)/.exec(text)?.[1];
  const named = title?.toLowerCase().startsWith(bsdl.entity.toLowerCase()) ? title : bsdl.entity;
  return propose(terminals, names, { problems, title: named, pairs: pairsOf(bsdl, terminals, view ?? names[0]!) }, options);
}

const nameOf = (port: Port, index: number | undefined): string => (index === undefined ? port.name : `${port.name}[${index}]`);
const keyOf = (port: string, index: number | undefined): string => `${port.toLowerCase()} ${index ?? ''}`;

/** One terminal for each bit of each port, with its number in every package's map; a port of single bit may have several pins. */
function terminalsOf(bsdl: Bsdl, problems: Problem[], file: string | undefined): Terminal[] {
  const ports = new Map(bsdl.ports.map((p) => [p.name.toLowerCase(), p]));
  const cells = groupBy(bsdl.cells, (cell) => keyOf(cell.port, cell.index));
  const names = new Set(bsdl.ports.map((p) => p.name));
  const reset = bsdl.tap.get('TAP_SCAN_RESET')?.toLowerCase();
  const terminals = new Map<string, Terminal>();
  for (const map of bsdl.maps) {
    const mapped = new Set<string>();
    for (const entry of map.entries) {
      const port = ports.get(entry.port.toLowerCase());
      if (!port) {
        problems.push(problem('bsdl-port', { port: entry.port, map: map.name }, { file, line: entry.line }));
        continue;
      }
      mapped.add(entry.port.toLowerCase());
      const indices = port.indices ?? entry.pins.map(() => undefined);
      const fits = indices.length === entry.pins.length;
      if (!fits)
        problems.push(
          problem('count-mismatch', { name: port.name, names: indices.length, numbers: entry.pins.length }, { file, line: entry.line }),
        );
      entry.pins.forEach((pin, i) => {
        const index = indices[i];
        // Several pins of one bit are several terminals; which is which does not matter as they carry one signal.
        const key = `${keyOf(port.name, index)} ${index === undefined ? i : i >= indices.length ? `more ${i}` : ''}`;
        const there = terminals.get(key);
        if (there) there.numbers[map.name] = pin.number;
        else {
          const own = cells.get(keyOf(port.name, index)) ?? cells.get(keyOf(port.name, undefined)) ?? [];
          const made = terminalOf(port, index, own, names, port.name.toLowerCase() === reset);
          if (!fits) made.doubts.push({ field: 'name', reason: `${indices.length} bits stand for ${entry.pins.length} pins.` });
          terminals.set(key, { ...made, numbers: { [map.name]: pin.number }, origin: { line: pin.line } });
        }
      });
    }
    for (const port of bsdl.ports)
      if (!mapped.has(port.name.toLowerCase()) && bsdl.maps.length === 1)
        problems.push(problem('bsdl-unmapped', { port: port.name, map: map.name }, { file, line: port.line }));
  }
  return [...terminals.values()];
}

function terminalOf(
  port: Port,
  index: number | undefined,
  cells: readonly RegisterCell[],
  names: ReadonlySet<string>,
  isReset: boolean,
): Terminal {
  const { type, because, doubt, confidence } = typeOf(port, cells);
  const low = readActiveLow(port.name, false, '', names);
  const doubts: Doubt[] = doubt ? [doubt] : [];
  if (low.unsure) doubts.push(levelDoubt(`${low.unsure}.`));
  // The standard's TRST* is low-active (IEEE 1149.1-2013, 4.6.1), but a file has no words for it.
  if (isReset && !low.activeLow) doubts.push(levelDoubt('The test reset is active low in the standard; the file does not say it.'));
  const activeLow = low.activeLow || isReset;
  return {
    numbers: {},
    name: nameOf(port, index),
    ...(index !== undefined && (carriesPower(type) || type === 'no-connect') ? { drawnName: port.name } : {}),
    ...(activeLow ? { activeLow } : {}),
    type,
    because: { type: because, ...(low.because ? { activeLow: low.because } : isReset ? { activeLow: 'TAP_SCAN_RESET' } : {}) },
    doubts,
    confidence,
  };
}

function typeOf(port: Port, cells: readonly RegisterCell[]): ReturnType<typeof inferType> {
  const said = DIRECTION[port.direction];
  if (said === undefined) {
    const named = inferType(port.name, undefined, '', new Map());
    return named.doubt
      ? {
          ...named,
          doubt: {
            ...named.doubt,
            reason: `A linkage port, and ${named.type === 'unspecified' ? 'its name does not tell' : `only ${named.because} speaks for it`}.`,
          },
        }
      : { ...named, because: `linkage, ${named.because}` };
  }
  const out = cells.find((c) => /^OUTPUT[23]$/.test(c.function));
  const plain = { confidence: 0.95 };
  if (port.direction !== 'inout' && said === 'output' && out) {
    if (out.function === 'OUTPUT3') return { ...plain, type: 'three-state', because: `${port.direction}, cell function OUTPUT3` };
    if (/^(WEAK|PULL)1$/.test(out.disabled ?? '')) return { ...plain, type: 'open-drain', because: `OUTPUT2, disabled ${out.disabled}` };
    if (/^(WEAK|PULL)0$/.test(out.disabled ?? '')) return { ...plain, type: 'open-source', because: `OUTPUT2, disabled ${out.disabled}` };
  }
  return { ...plain, type: said, because: `port direction ${port.direction}` };
}

/** Pairs of PORT_GROUPING as numbers in a package; whole vectors pair bit by bit. */
function pairsOf(bsdl: Bsdl, terminals: readonly Terminal[], packageName: string): [string, string][] {
  const ports = new Map(bsdl.ports.map((p) => [p.name.toLowerCase(), p]));
  const numbers = new Map(terminals.map((t) => [t.name.toLowerCase(), t.numbers[packageName]]));
  const bitsOf = ({ port, index }: PortRef): string[] => {
    const declared = ports.get(port.toLowerCase());
    if (index !== undefined) return [`${port}[${index}]`];
    return declared?.indices ? declared.indices.map((i) => `${port}[${i}]`) : [port];
  };
  return bsdl.pairs.flatMap(({ first, second }) => {
    const others = bitsOf(second);
    return bitsOf(first).flatMap((name, i): [string, string][] => {
      const [a, b] = [numbers.get(name.toLowerCase()), numbers.get((others[i] ?? '').toLowerCase())];
      return a !== undefined && b !== undefined ? [[a, b]] : [];
    });
  });
}
