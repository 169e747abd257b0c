import { rolesOf, shares } from '../roles';
import { isListOfElse } from './about-else';

/** True where a node's own name says that it is something else: `GND` in the place of a node VIN. */
export function isAgainst(word: string, node: string): boolean {
  const [said, own] = [rolesOf(word), rolesOf(/^\d+$/.test(node) ? '' : node)];
  return said.size > 0 && own.size > 0 && !shares(said, own);
}

/** True where a bare line lists something else: figures, elements, what stands behind a title that says so, or what the nodes' names deny. */
export function isOfElse(words: readonly string[], text: string, nodes: readonly string[]): boolean {
  const title = /^[^:]*:(?=\s)/.exec(text.trim())?.[0];
  const elements = words.filter((w) => /^[RCLQEGVDM]\d+\b/.test(w)).length;
  const areElements = elements >= words.length / 2 && words.some((w) => /^[A-Z]\d+ [a-z]|^[a-z]{3}/.test(w));
  return (
    isListOfElse(words, title) ||
    /\b(?:seen|viewed) from\b/i.test(title ?? '') ||
    areElements ||
    words.some((w) => /=\s*[-+]?\d/.test(w)) ||
    isAstray(words, nodes) ||
    isDenied(words, nodes)
  );
}

/** True where the names of more nodes say another thing than the words in their places than say the same. Letters in a row say nothing. */
function isDenied(words: readonly string[], nodes: readonly string[]): boolean {
  if (nodes.every((n, k) => n.toLowerCase() === String.fromCharCode(97 + k))) return false;
  const against = words.filter((w, k) => isAgainst(w, nodes[k]!)).length;
  const same = words.filter((w, k) => shares(rolesOf(w), rolesOf(nodes[k]!))).length;
  return against > 1 && against > same;
}

/** True where a bare line says of a node what the name of another says: it lists something else. */
const isAstray = (words: readonly string[], nodes: readonly string[]): boolean => astrayIn(words, nodes) > 0;

/** How many words say what the name of another node says, and not that of the node in their place. */
export function astrayIn(words: readonly string[], nodes: readonly string[]): number {
  const own = nodes.map((n) => rolesOf(/^\d+$/.test(n) ? '' : n));
  const isOfOther = (word: string, k: number) => !shares(rolesOf(word), own[k]!) && own.some((roles) => shares(rolesOf(word), roles));
  return words.filter(isOfOther).length;
}
