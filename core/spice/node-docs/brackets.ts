import { tidy, withoutFigures, type Found, type Names } from './found';

/** `reset, active low (50), data (60)` and `D (data), R (reset, active low)`: nodes and words that may have a comma or brackets of their own, the one or the other in brackets. */
export function withBrackets(text: string, line: number, byName: Names): Found | undefined {
  const list = text.trim().replace(/[.,;]$/, '');
  if (!list.endsWith(')')) return undefined;
  return bracketsBehind(list, line, byName) ?? bracketsBefore(list, line, byName);
}

const asList = (found: Found, count: number): Found | undefined =>
  count > 1 && found.length === count && new Set(found.map(([node]) => node)).size === count ? found : undefined;

function bracketsBehind(list: string, line: number, byName: Names): Found | undefined {
  const nodes = [...list.matchAll(/\(\s*(?:node |pin )?([^\s()]+)\s*\)/gi)].filter((m) => byName.has(m[1]!.toLowerCase()));
  if (nodes.length < 2 || nodes.at(-1)!.index + nodes.at(-1)![0].length !== list.length) return undefined;
  const found = nodes.flatMap((m, k): Found => {
    const before = list.slice(k === 0 ? 0 : nodes[k - 1]!.index + nodes[k - 1]![0].length, m.index);
    if (k > 0 && !/^\s*[,;]/.test(before)) return [];
    // What stands before the first item is a title.
    const words = (k === 0 ? before.replace(/^[^:]*:\s+/, '') : before).replace(/^\s*[,;]\s*(?:and )?/, '');
    const node = byName.get(m[1]!.toLowerCase())!;
    // `OUT, COM, GND (4)`: what names another node is not about this one alone.
    const isOwn = withoutFigures(words)
      .split(/[\s,;]+/)
      .every((word) => word === node || byName.get(word.toLowerCase()) !== word);
    return isOwn && /[A-Za-z]/.test(words) ? [[node, { doc: tidy(words), line }]] : [];
  });
  return asList(found, nodes.length);
}

function bracketsBefore(list: string, line: number, byName: Names): Found | undefined {
  const items = list.replace(/^[^:()]*:\s+/, '').split(/[,;]\s*(?=\S+\s?\()/);
  const found = items.flatMap((item): Found => {
    const [, name = '', words = ''] = /^(\S+)\s?\((.*)\)$/.exec(item) ?? [];
    const node = byName.get(name.toLowerCase());
    return node === undefined || !/[A-Za-z]/.test(words) ? [] : [[node, { doc: tidy(words), line }]];
  });
  return asList(found, items.length);
}
