import type { Names } from './found';

/**
 * Nodes by what comments call them besides: EP and EN of a pair by their signs, `E+`, REB by the mark that its letter stands
 * for, `/RE`, RT_CLK with the slash that a card cannot have, and node 1 as n1.
 */
export function calledBesides(nodes: readonly string[]): [string, string][] {
  const all = new Set(nodes.map((n) => n.toLowerCase()));
  const besides = (name: string): string[] => {
    const [, stem = '', letter = ''] = /^(\w+)([pnm])$/.exec(name) ?? [];
    if (letter === 'p' && (all.has(`${stem}n`) || all.has(`${stem}m`))) return [`${stem}+`];
    if (letter !== '' && letter !== 'p' && all.has(`${stem}p`)) return [`${stem}-`];
    // QH' that goes on to the next register.
    if (/^q\w?s$/.test(name) && all.has(name.slice(0, -1))) return [`${name.slice(0, -1)}'`];
    const low = /^(\w{2,}?)_?[bn]$/.exec(name)?.[1];
    return low === undefined || all.has(low) ? [] : [`/${low}`, `~${low}`, `${low}#`];
  };
  return nodes.flatMap((node) => {
    const name = node.toLowerCase();
    if (/^\d{1,2}$/.test(name)) return all.has(`n${name}`) ? [] : [[`n${name}`, node] as [string, string]];
    const slashed = name.includes('_') ? [name.replaceAll('_', '/')] : [];
    return [...slashed, ...besides(name)].map((other): [string, string] => [other, node]);
  });
}

/** True for a node's name and nothing else. */
export const isNode = (text: string, byName: Names): boolean => byName.has(text.trim().toLowerCase());

/** True for a text that goes on with a node's name. */
export const startsWithNode = (text: string, byName: Names): boolean =>
  byName.has((/^\S+/.exec(text)?.[0] ?? '').replace(/[,;]$/, '').toLowerCase());

/** True for the words of a node that begin with the name of another: `TRIM = Trim input` begins with its own. */
export const startsWithOther = (words: string, node: string, byName: Names): boolean =>
  startsWithNode(words, byName) && byName.get((/^[^\s,;]+/.exec(words)?.[0] ?? '').toLowerCase()) !== node;

/** The node of a name, or those of `S1/S2` and `1-2`; none where one of them is no node. */
export function nodesOf(name: string, byName: Names): string[] {
  const whole = byName.get(name.trim().toLowerCase());
  if (whole !== undefined) return [whole];
  const slashed = name.includes('/') ? allNodes(name.split('/'), byName) : [];
  return slashed.length > 0 ? slashed : allNodes(name.split(/[/&-]/), byName);
}

/** The nodes that words name; none where one of them names none. */
export function allNodes(words: readonly string[], byName: Names): string[] {
  const found = words.flatMap((w) => byName.get(w.trim().toLowerCase()) ?? []);
  return found.length === words.length ? found : [];
}

/** The nodes of a list such as `7 8`, `5, 6` and `A and B`. */
export const nodesListed = (list: string, byName: Names): string[] =>
  allNodes(
    list.split(/[\s,/&]+|\band\b/).filter((w) => w !== ''),
    byName,
  );

/** A node by its name, with or without the mark of an active-low name. */
export const nodeNamed = (name: string, byName: Names): string | undefined => {
  const plain = name.trim().toLowerCase();
  return byName.get(plain) ?? byName.get(plain.replace(/[#*]$|^[~/]/, ''));
};
