import { Parser } from 'htmlparser2';
import { ok, problem, refuse, type Result } from '../part';

/** An element of an XML document; names without their prefix, as the standards' own examples have them. */
export interface Element {
  name: string;
  attributes: Record<string, string>;
  children: Element[];
  line: number;
}

/** The largest document that is read, in characters. */
const LARGEST = 60_000_000;
const DEEPEST = 200;

/**
 * Reads an XML 1.0 document to its elements. Only the five predefined entities and numbered characters are resolved: a
 * document that declares entities of its own, inside or outside, is refused, and nothing is ever fetched. Refused with its
 * line where an element is not closed.
 */
export function readXml(text: string, file?: string): Result<Element> {
  if (text.length > LARGEST)
    return refuse(problem('input-large', { size: Math.round(text.length / 1e5) / 10, limit: LARGEST / 1e6 }, { file }));
  const lines = lineStarts(text);
  const lineAt = (index: number): number => {
    let [low, high] = [0, lines.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (lines[middle]! <= index) low = middle;
      else high = middle - 1;
    }
    return low + 1;
  };
  const declared = /<!(?:ENTITY|DOCTYPE[^>[]*(?:SYSTEM|PUBLIC|\[))/i.exec(text);
  if (declared) return refuse(problem('xml-entity', {}, { file, line: lineAt(declared.index) }));
  const stack: Element[] = [];
  let root: Element | undefined;
  let wrong: { what: string; line: number } | undefined;
  const bare = (name: string) => name.replace(/^.*:/, '');
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        const element: Element = {
          name: bare(name),
          attributes: Object.fromEntries(Object.entries(attributes).map(([k, v]) => [bare(k), v])),
          children: [],
          line: lineAt(parser.startIndex),
        };
        if (stack.length >= DEEPEST) wrong ??= { what: `more than ${DEEPEST} elements in each other`, line: element.line };
        else stack.at(-1)?.children.push(element);
        root ??= element;
        stack.push(element);
      },
      onclosetag(name, implied) {
        const open = stack.pop();
        const isEmptyTag = text[parser.endIndex] === '>' && text[parser.endIndex - 1] === '/';
        if ((implied && !isEmptyTag) || open?.name !== bare(name))
          wrong ??= { what: `<${open?.name ?? bare(name)}> is not closed`, line: open?.line ?? lineAt(parser.startIndex) };
      },
    },
    { xmlMode: true, recognizeSelfClosing: true },
  );
  parser.end(text);
  if (!root) return refuse(problem('xml-syntax', { what: 'there is no element in it' }, { file }));
  return wrong ? refuse(problem('xml-syntax', { what: wrong.what }, { file, line: wrong.line })) : ok(root);
}

function lineStarts(text: string): number[] {
  const starts = [0];
  for (let i = text.indexOf('\n'); i >= 0; i = text.indexOf('\n', i + 1)) starts.push(i + 1);
  return starts;
}

export const childrenOf = (element: Element, name: string): Element[] => element.children.filter((c) => c.name === name);
export const childOf = (element: Element | undefined, name: string): Element | undefined => element?.children.find((c) => c.name === name);

/** All elements of a name, at any depth. */
export function descendantsOf(element: Element, name: string): Element[] {
  return element.children.flatMap((c) => [...(c.name === name ? [c] : []), ...descendantsOf(c, name)]);
}
