import type { Card } from './cards';
import { cardType, letterOf, type Device } from './device';

export interface ModelCard {
  name: string;
  type: string;
  /** The model that it derives from, in the dialects that have `ako:`. */
  base?: string;
  params: { name: string; value: string }[];
}

/** `.model NAME TYPE (name=value …)`; `ako:BASE` stands before the type. Undefined where name or type is missing. */
export function readModelCard(card: Card): ModelCard | undefined {
  const match = /^\.model\s+(\S+)\s+(?:ako:\s*(\S+)\s*)?([a-z]\w*)?\s*\(?(.*?)\)?\s*$/i.exec(card.text);
  if (!match || (match[3] === undefined && match[2] === undefined)) return undefined;
  const [, name = '', base, type = '', rest = ''] = match;
  const params = [...rest.replace(/\s*=\s*/g, '=').matchAll(/([a-z_]\w*)=(\{[^}]*\}|'[^']*'|[^\s),]+)/gi)].map((m) => ({
    name: m[1]!,
    value: m[2]!,
  }));
  return { name, type, params, ...(base === undefined ? {} : { base }) };
}

/** A card with what it derives from: its own parameters stand before those of the base, and its own type where it has one. */
export function derivedCard(card: ModelCard, base: ModelCard): ModelCard {
  const own = new Set(card.params.map((p) => p.name.toLowerCase()));
  return { ...card, type: card.type || base.type, params: [...base.params.filter((p) => !own.has(p.name.toLowerCase())), ...card.params] };
}

/** What a card describes, with the letter and the nodes that SPICE 3 gives its device. */
export function deviceOfCard(card: ModelCard): { device: Device; letter: string; nodes: string[] } {
  const bare = card.params.length === 0 ? [] : card.params.map((p) => [p.name.toLowerCase(), p.value] as const);
  const known = cardType(card.type, new Map(bare));
  return { device: known?.device ?? 'other', letter: letterOf(card.type), nodes: known?.nodes ?? [] };
}
