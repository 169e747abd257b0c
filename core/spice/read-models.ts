import { ok, problem, refuse, type Problem, type Result } from '../part';
import { readCards, type Card, type Comment } from './cards';
import { cardType, deviceOf, letterOf, type Device } from './device';
import { mineNodeDocs } from './node-docs';

export interface ModelNode {
  name: string;
  /** What the file's comments say of it; empty where they say nothing. */
  doc: string;
  /** The line that says it. */
  docLine?: number;
}

export interface SpiceModel {
  name: string;
  kind: 'subckt' | 'model';
  device: Device;
  /** Element letter of an instance: X for a subcircuit. */
  letter: string;
  nodes: ModelNode[];
  params: { name: string; value: string }[];
  line: number;
  /** Names of the subcircuits it is nested in, outermost first. */
  inside: string[];
}

export interface ModelList {
  models: SpiceModel[];
  problems: Problem[];
}

interface Open {
  card: Card;
  model: Pick<SpiceModel, 'name' | 'nodes' | 'params' | 'line'>;
  comments: Comment[];
  /** True until the first element of the body. */
  atTop: boolean;
}

/**
 * Lists the `.subckt` and `.model` cards of a SPICE source with their nodes and what comments say of them. Refuses what
 * is no SPICE text or has no model; single bad cards are problems.
 */
export function readModels(source: string, file?: string): Result<ModelList> {
  const cards = readCards(source, file);
  if (!cards.ok) return cards;
  const problems: Problem[] = [];
  const models: SpiceModel[] = [];
  const open: Open[] = [];
  for (const card of cards.value.cards) {
    const word = /^\.?\S+/.exec(card.text)![0].toLowerCase();
    const top = open.at(-1);
    if (top?.atTop) top.comments.push(...card.above);
    if (word === '.subckt' || word === '.macro') open.push(openSubckt(card, problems, file));
    else if (word === '.ends' || word === '.eom') close(open, models, card, problems, file);
    else if (word === '.model') readModelCard(card, open, models, problems, file);
    else if (/^\.(control|shell|exec|csparam)$|^(shell|source)$/.test(word))
      problems.push(problem('spice-unsafe', { card: word }, { file, line: card.line }));
    else if (/^\.(include|inc|lib)$/.test(word) && /(^|["'\s])([/\\]|[a-z]:\\|\.\.)/i.test(card.text))
      problems.push(problem('spice-unsafe', { card: card.text }, { file, line: card.line }));
    if (top && /^[a-z]/i.test(word)) top.atTop = false;
  }
  for (const { model } of open) problems.push(problem('spice-unterminated', { name: model.name }, { file, line: model.line }));
  if (models.length === 0) return refuse(...(problems.length > 0 ? problems : [problem('spice-none', {}, { file })]));
  return ok({ models: models.sort((a, b) => a.line - b.line), problems });
}

/** `.subckt NAME node … [PARAMS:] name=value …`; bare words after the first parameter are none of the nodes. */
function openSubckt(card: Card, problems: Problem[], file?: string): Open {
  const text = card.text
    .replace(/\s*=\s*/g, '=')
    .replace(/[()]/g, (c, at: number, all: string) => (all.slice(0, at).includes('=') ? c : ' '));
  const words = text.match(/[^\s={}'"]+=(?:\{[^}]*\}|'[^']*'|"[^"]*"|\S*)|\S+/g) ?? [];
  const name = words[1] ?? '';
  if (name === '') problems.push(problem('spice-card', { text: card.text, why: 'it has no name' }, { file, line: card.line }));
  const rest = words.slice(2);
  const until = rest.findIndex((w) => w.includes('=') || /^(params|optional|text):?$/i.test(w));
  const nodes = (until < 0 ? rest : rest.slice(0, until)).filter((w) => w !== ',');
  const params = (until < 0 ? [] : rest.slice(until)).flatMap((w) => {
    const match = /^([^=]+)=(.*)$/.exec(w);
    return match ? [{ name: match[1]!, value: match[2]! }] : [];
  });
  const twice = nodes.find((n, i) => nodes.findIndex((m) => m.toLowerCase() === n.toLowerCase()) !== i);
  if (twice !== undefined)
    problems.push(problem('spice-card', { text: card.text, why: `node ${twice} stands twice` }, { file, line: card.line }));
  return {
    card,
    model: { name, nodes: nodes.map((n) => ({ name: n, doc: '' })), params, line: card.line },
    comments: [],
    atTop: true,
  };
}

function close(open: Open[], models: SpiceModel[], card: Card, problems: Problem[], file?: string): void {
  const top = open.pop();
  if (!top) return void problems.push(problem('spice-stray-ends', {}, { file, line: card.line }));
  const names = top.model.nodes.map((n) => n.name);
  const docs = mineNodeDocs({ nodes: names, above: top.card.above, inside: top.comments, raw: top.card.raw });
  const nodes = top.model.nodes.map((n): ModelNode => {
    const found = docs.get(n.name);
    return found ? { name: n.name, doc: found.doc, docLine: found.line } : n;
  });
  const comments = [...top.card.above, ...top.comments].map((c) => c.text);
  models.push({
    ...top.model,
    kind: 'subckt',
    device: deviceOf(
      top.model.name,
      names,
      nodes.map((n) => n.doc),
      comments,
    ),
    letter: 'X',
    nodes,
    inside: open.map((o) => o.model.name),
  });
}

/** `.model NAME TYPE (name=value …)`; `ako:BASE` before the type is a dialect's way to derive one. */
function readModelCard(card: Card, open: Open[], models: SpiceModel[], problems: Problem[], file?: string): void {
  const match = /^\.model\s+(\S+)\s+(?:ako:\s*\S+\s+)?([a-z]+)\s*\(?(.*?)\)?\s*$/i.exec(card.text);
  if (!match)
    return void problems.push(problem('spice-card', { text: card.text, why: 'it has no name or no type' }, { file, line: card.line }));
  const [, name = '', type = '', rest = ''] = match;
  const params = [...rest.replace(/\s*=\s*/g, '=').matchAll(/([a-z_]\w*)=(\{[^}]*\}|\S+)/gi)].map((m) => ({
    name: m[1]!,
    value: m[2]!,
  }));
  const known = cardType(type, new Map(params.map((p) => [p.name.toLowerCase(), p.value])));
  models.push({
    name,
    kind: 'model',
    device: known?.device ?? 'other',
    letter: letterOf(type),
    nodes: (known?.nodes ?? []).map((n) => ({ name: n, doc: '' })),
    params,
    line: card.line,
    inside: open.map((o) => o.model.name),
  });
}
