import { readCards, type Card } from '../cards';
import { constantOf, spiceNumber } from '../constant';
import { readSubcktHeader, type SubcktHeader } from '../header';
import { derivedCard, readModelCard, type ModelCard } from '../model-card';
import { engineExpression, tableOf } from './expression';
import { isModelParameter } from './model-parameters';
import { polynomial } from './polynomial';

/**
 * A model's text as the engine takes it. The engine is a Berkeley SPICE without the extensions that vendors write for:
 * POLY and TABLE sources, smooth switches, derived models, optional nodes, functions of the dialects. Each is said here by
 * what is equal to it. LAPLACE is its value at rest, since the benches look at levels and not at speed; parasitics on
 * elements and tolerances are left out. Whatever else the engine does not have stays and is its error.
 */
export function forEngine(source: string): string {
  const read = readCards(source);
  if (!read.ok) return source;
  const { cards } = read.value;
  const models = modelsOf(cards);
  const headers = new Map<string, SubcktHeader>();
  for (const card of cards)
    if (/^\.(subckt|macro)\b/i.test(card.text)) {
      const header = readSubcktHeader(card);
      headers.set(header.name.toLowerCase(), header);
    }
  return withoutGlobalGround(cards)
    .map((card) => said(card, models, headers))
    .filter((line) => line !== '')
    .join('\n');
}

/**
 * The engine takes every node GND for node 0, also where it is a node of the subcircuit, which would make any join of
 * it right: inside such a subcircuit it gets a name that is only its own.
 */
function withoutGlobalGround(cards: readonly Card[]): Card[] {
  const isOwn: boolean[] = [];
  return cards.map((card) => {
    const word = /^\.?\S+/.exec(card.text)![0].toLowerCase();
    if (word === '.subckt' || word === '.macro') isOwn.push(readSubcktHeader(card).nodes.some((n) => /^gnd$/i.test(n)));
    const renames = isOwn.at(-1) === true;
    if (word === '.ends' || word === '.eom') isOwn.pop();
    return renames ? { ...card, text: card.text.replace(/(?<![\w.])gnd(?![\w.])/gi, 'gnd_own') } : card;
  });
}

/** All model cards by name in lower case, derived ones with what they derive from. */
function modelsOf(cards: readonly Card[]): Map<string, ModelCard> {
  const models = new Map<string, ModelCard>();
  for (const card of cards) {
    const own = /^\.model\b/i.test(card.text) ? readModelCard(card) : undefined;
    if (!own) continue;
    const base = own.base === undefined ? undefined : models.get(own.base.toLowerCase());
    models.set(own.name.toLowerCase(), base ? derivedCard(own, base) : own);
  }
  return models;
}

function said(card: Card, models: ReadonlyMap<string, ModelCard>, headers: ReadonlyMap<string, SubcktHeader>): string {
  const text = card.text.replace(/\s*=\s*/g, '=');
  const word = /^\.?\S+/.exec(text)![0].toLowerCase();
  if (word === '.subckt' || word === '.macro') return headerLine(card);
  if (word === '.eom') return text.replace(/^\.eom/i, '.ends');
  if (word === '.params') return expressions(text.replace(/^\.params/i, '.param'));
  if (word === '.model') return modelLine(card, models);
  if (word.startsWith('x')) return expressions(instance(text, headers));
  if (/^[efgh]/.test(word)) return source(card.text) ?? expressions(text);
  if (/^[sw]/.test(word)) return switchOf(text, models) ?? text;
  if (word.startsWith('b')) return text.replace(/=(.*)$/, (_, value: string) => `=${engineExpression(value.replace(/[{}']/g, ''))}`);
  if (/^[rclvi]/.test(word)) return expressions(withoutParasitics(text));
  return expressions(text);
}

/** What stands in braces or quotes, in the engine's words. */
const expressions = (text: string): string =>
  text.replace(/\{([^{}]*)\}|'([^']*)'/g, (_, braced?: string, quoted?: string) => `{${engineExpression(braced ?? quoted ?? '')}}`);

const withoutParasitics = (text: string): string =>
  text
    .replace(/\s(?:rser|lser|rpar|cpar|rlshunt)=\S+|\snoiseless\b/gi, '')
    .replace(/\stc=([^\s,]+)(?:,\s*(\S+))?/i, (_, a: string, b?: string) => ` tc1=${a}${b === undefined ? '' : ` tc2=${b}`}`);

/** Optional nodes are nodes like the others, and every instance names them. */
function headerLine(card: Card): string {
  const { name, nodes, optional, params } = readSubcktHeader(card);
  const values = params.map((p) => ` ${p.name}=${expressions(p.value)}`);
  return `.subckt ${name} ${[...nodes, ...optional.map((o) => o.name)].join(' ')}${values.join('')}`;
}

function instance(text: string, headers: ReadonlyMap<string, SubcktHeader>): string {
  const [bare = '', given = ''] = text.replace(/\s*\bparams\s*:\s*/i, ' \u0000').split('\u0000');
  const words = bare.trim().split(/\s+/);
  const values = words.filter((w) => w.includes('='));
  const plain = words.filter((w) => !w.includes('='));
  const header = headers.get(plain.at(-1)!.toLowerCase());
  const missing = header && plain.length - 2 < header.nodes.length + header.optional.length ? header.optional : [];
  const left = missing.slice(Math.max(0, plain.length - 2 - (header?.nodes.length ?? 0))).map((o) => o.value);
  return [...plain.slice(0, -1), ...left, plain.at(-1)!, ...values, given].join(' ').trim();
}

function modelLine(card: Card, models: ReadonlyMap<string, ModelCard>): string {
  const read = readModelCard(card);
  if (!read) return card.text;
  if (/^[vi]switch$/i.test(read.type)) return '';
  const { name, type, params } = models.get(read.name.toLowerCase())!;
  const level = params.find((p) => /^level$/i.test(p.name))?.value;
  const own = params.filter((p) => isModelParameter(type, p.name, level)).map((p) => `${p.name}=${p.value}`);
  const channel = /^vdmos$/i.test(type) ? (/\bpchan\b/i.exec(card.text) ?? []) : [];
  return expressions(`.model ${name} ${type}(${[...channel, ...own].join(' ')})`);
}

/** A controlled source that is no plain one, as a B source: what it gives is the same between the same nodes. */
function source(text: string): string | undefined {
  const [, letter = '', name = '', plus = '', minus = '', rest = ''] =
    /^([efgh])(\S*)\s+\(?([^\s,()]+)[\s,]+([^\s,()]+)\)?\s+(.*)$/i.exec(text) ?? [];
  const kind = /[eh]/i.test(letter) ? 'V' : 'I';
  const behind = (value: string) => `B${letter}${name} ${plus} ${minus} ${kind}=${value}`;
  const poly = /^poly\s*\(\s*(\d+)\s*\)\s*(.*)$/i.exec(rest);
  if (poly) {
    const value = polynomial(Number(poly[1]), poly[2]!, /[fh]/i.test(letter) ? 'currents' : 'voltages');
    return value === undefined ? undefined : behind(value);
  }
  const table = /^table\s*=?\s*\{(.*?)\}\s*=?\s*(.*)$/i.exec(rest) ?? /^table\s*=?\s*'(.*?)'\s*=?\s*(.*)$/i.exec(rest);
  if (table) {
    const points = table[2]!.match(/[^\s,()]+/g) ?? [];
    return points.length >= 4 && points.length % 2 === 0 ? behind(tableOf(engineExpression(table[1]!), points)) : undefined;
  }
  const laplace = /^laplace\s*=?\s*\{(.*?)\}\s*=?\s*[{(]?\s*\{?(.*?)\}?\s*$/i.exec(rest);
  if (laplace)
    return behind(`(${engineExpression(laplace[1]!)})*(${engineExpression(laplace[2]!.replace(/(?<![\w.])s(?![\w(])/gi, '0'))})`);
  const value = /^(?:value|vol|cur)\s*=?\s*[{'(](.*)[})']\s*$/i.exec(rest);
  return value
    ? `${letter}${name} ${plus} ${minus} ${kind === 'V' ? 'vol' : 'cur'}='${engineExpression(value[1]!.replace(/[{}]/g, ''))}'`
    : undefined;
}

/**
 * A switch whose resistance goes smoothly from one value to the other between two controls, along the cubic that the
 * dialects give it: ln R = ln √(RON·ROFF) + ln(RON/ROFF)·(1.5·x − 2·x³), x from −½ to ½. Undefined for Berkeley's own.
 */
function switchOf(text: string, models: ReadonlyMap<string, ModelCard>): string | undefined {
  const isByCurrent = /^w/i.test(text);
  const words = text.replace(/[(),]/g, ' ').trim().split(/\s+/);
  const model = models.get((isByCurrent ? words[4] : words[5])?.toLowerCase() ?? '');
  if (!model || !/^[vi]switch$/i.test(model.type)) return undefined;
  const given = (name: string, otherwise: number) => {
    const value = model.params.find((p) => p.name.toLowerCase() === name)?.value;
    return value === undefined ? String(otherwise) : value.replace(/^\{|\}$/g, '');
  };
  const [on, off, ron, roff] = isByCurrent
    ? [given('ion', 1e-3), given('ioff', 0), given('ron', 1), given('roff', 1e6)]
    : [given('von', 1), given('voff', 0), given('ron', 1), given('roff', 1e6)];
  const plain = (value: string) => {
    const number = spiceNumber(value) ?? constantOf(value);
    return number === undefined ? `(${value})` : `(${number})`;
  };
  const control = isByCurrent ? `i(${words[3]})` : `v(${words[3]},${words[4]})`;
  const x = `(min(max((${control}-(${plain(on)}+${plain(off)})/2)/(${plain(on)}-${plain(off)}),-0.5),0.5))`;
  const lnR = `ln(sqrt(${plain(ron)}*${plain(roff)}))+ln(${plain(ron)}/${plain(roff)})*(1.5*${x}-2*${x}*${x}*${x})`;
  return `B${words[0]} ${words[1]} ${words[2]} I=v(${words[1]},${words[2]})*exp(-(${lnR}))`;
}
