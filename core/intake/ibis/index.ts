import { ok, problem, refuse, type Doubt, type ElectricalType, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions, Terminal } from '../proposal';
import { levelDoubt, readActiveLow } from '../table/active-low';
import { propose } from '../table/understand';
import { evidenceOfName } from '../understand/type-names';
import { inferType } from '../understand/infer-type';
import { parseIbis, type Ibis, type IbisComponent, type IbisPin } from './parse';

/** Model_type (IEC 62014-1, section 6) to electrical type; `_ecl` and `_diff` forms are taken off first. */
const TYPES: Record<string, ElectricalType> = {
  input: 'input',
  output: 'output',
  'i/o': 'bidirectional',
  '3-state': 'three-state',
  open_drain: 'open-drain',
  open_sink: 'open-drain',
  open_source: 'open-source',
  'i/o_open_drain': 'bidirectional',
  'i/o_open_sink': 'bidirectional',
  'i/o_open_source': 'bidirectional',
  terminator: 'passive',
  series: 'passive',
  series_switch: 'passive',
};

const RESERVED_MODELS: Record<string, ElectricalType> = { power: 'supply-in', gnd: 'ground', nc: 'no-connect' };

/** Reads the pins of every component of an IBIS file; each component is a package of the proposal. */
export function readIbis(text: string, options: ReadOptions = {}): Result<Proposal> {
  const { file } = options;
  const parsed = parseIbis(text, file);
  if (!parsed.ok) return parsed;
  const ibis = parsed.value;
  const components = ibis.components.filter((c) => c.pins.length > 0);
  if (components.length === 0) return refuse(problem('ibis-none', {}, { file }));
  const problems: Problem[] = [...ibis.problems];
  const names = components.map((c) => c.name);
  const terminals = components.flatMap((c) => c.pins.map((pin) => terminalOf(pin, c, ibis, problems, file)));
  const view = components.find((c) => c.name.toLowerCase() === (options.package ?? names[0]!).toLowerCase()) ?? components[0]!;
  const known = new Set(view.pins.map((p) => p.number));
  const read = propose(
    terminals,
    names,
    { problems, title: titleOf(text, names[0]!), pairs: view.pairs.filter((pair) => pair.every((n) => known.has(n))) },
    options,
  );
  const { maker } = ibis;
  return read.ok && maker ? ok({ ...read.value, cover: { maker: { value: maker }, orderCodes: [] } }) : read;
}

/** The first comment where it speaks of the component, or else the component's name. */
function titleOf(text: string, component: string): string {
  const said = /^\s*\|+\s*(.*\S)/m.exec(text.slice(0, 4000))?.[1];
  return said?.toLowerCase().startsWith(component.toLowerCase()) ? said : component;
}

function terminalOf(pin: IbisPin, component: IbisComponent, ibis: Ibis, problems: Problem[], file: string | undefined): Terminal {
  const { type, because, doubt, confidence } = typeOf(pin, ibis, problems, file);
  const low = readActiveLow(pin.signal, false, '', new Set(component.pins.map((p) => p.signal)));
  const doubts: Doubt[] = doubt ? [doubt] : [];
  if (low.unsure) doubts.push(levelDoubt(`${low.unsure}.`));
  const rail = component.rails.get(pin.number);
  return {
    numbers: { [component.name]: pin.number },
    name: pin.signal,
    ...(low.activeLow ? { activeLow: true } : {}),
    type,
    ...(rail ? { rail } : {}),
    origin: { line: pin.line },
    because: { type: because, ...(low.because ? { activeLow: low.because } : {}) },
    doubts,
    confidence,
  };
}

function typeOf(pin: IbisPin, ibis: Ibis, problems: Problem[], file: string | undefined): ReturnType<typeof inferType> {
  const model = pin.model.toLowerCase();
  const reserved = RESERVED_MODELS[model];
  if (reserved) return agreeing(reserved, `model ${pin.model.toUpperCase()}`, pin);
  const models = ibis.selectors.get(model) ?? [model];
  const types = [...new Set(models.flatMap((m) => electrical(ibis.types.get(m)?.type)))];
  if (types.length === 0) {
    // A row without a model is told as such.
    if (pin.model !== '') problems.push(problem('ibis-model', { model: pin.model, pin: pin.number }, { file, line: pin.line }));
    const named = inferType(pin.signal, undefined, '', new Map());
    const doubt = named.doubt ?? {
      field: 'type' as const,
      reason: `${pin.model === '' ? 'Its row has no model' : `Model ${pin.model} is not in the file`}; taken from ${named.because}.`,
      candidates: [named.type, 'input', 'output'],
    };
    return { ...named, doubt };
  }
  const because = `model ${pin.model}, ${ibis.types.get(models[0]!)?.type ?? types[0]}`;
  if (types.length === 1) return { type: types[0]!, because, confidence: 0.95 };
  return {
    type: types[0]!,
    because,
    confidence: 0.6,
    doubt: { field: 'type', reason: `Selector ${pin.model} offers models of several types; the first is ${types[0]}.`, candidates: types },
  };
}

const electrical = (type: string | undefined): ElectricalType[] => {
  const known = TYPES[(type ?? '').replace(/_(ecl|diff)$/, '')];
  return known ? [known] : [];
};

/** A rail whose name says the other polarity is asked about: a swapped POWER and GND finds out on the board. */
function agreeing(type: ElectricalType, because: string, pin: IbisPin): ReturnType<typeof inferType> {
  const named = evidenceOfName(pin.signal).sort((a, b) => b.weight - a.weight)[0];
  const contradicts =
    named &&
    named.weight >= 4 &&
    named.type !== type &&
    (['ground', 'supply-in', 'supply-out', 'no-connect', 'reserved'] as string[]).includes(named.type);
  if (!contradicts) return { type, because, confidence: 0.95 };
  if (type === 'supply-in' && named.type === 'supply-out')
    return {
      type: 'supply-out',
      because: `${because}, ${named.because}`,
      confidence: 0.6,
      doubt: { field: 'type', reason: `${because} says a rail, ${named.because} says an output.`, candidates: ['supply-out', 'supply-in'] },
    };
  return {
    type,
    because,
    confidence: 0.5,
    doubt: { field: 'type', reason: `${because} says ${type}; ${named.because} says ${named.type}.`, candidates: [type, named.type] },
  };
}
