import type { Comment } from '../cards';
import type { Header } from './found';

const words = (text: string): string[] => text.toLowerCase().match(/[\w.+-]{3,}/g) ?? [];
/** A line of this model that goes on about another one, `TF12 (old part TF11: 1=VCC)`, ends before it. */
function beforeOthers(comment: Comment, own: string, others: ReadonlySet<string>): Comment {
  const { text } = comment;
  const named = [...text.matchAll(/[\w.+-]{3,}/g)];
  const at = named.find((m) => m[0].toLowerCase() !== own && others.has(m[0].toLowerCase()));
  return at && named.some((m) => m[0].toLowerCase() === own && m.index < at.index)
    ? { ...comment, text: text.slice(0, at.index).replace(/\s*\([^)]*$/, '') }
    : comment;
}

const isBreak = (text: string): boolean => /^[\s\-=*_#]*$/.test(text);

/**
 * Takes out what speaks of another model: from a line that names one until a line that names this one, or a blank or
 * ruled line. Makers often describe a whole family of models above the first of them.
 */
export function ownComments(header: Header, others: ReadonlySet<string>): Header {
  const own = header.name.toLowerCase();
  const filter = (comments: Comment[]): Comment[] => {
    let isForeign = false;
    const kept = comments.filter(({ text }) => {
      const named = words(text);
      if (named.includes(own)) isForeign = false;
      else if (named.some((w) => others.has(w) && !header.nodes.some((n) => n.toLowerCase() === w))) isForeign = true;
      else if (isBreak(text)) isForeign = false;
      return !isForeign;
    });
    return kept.map((c) => beforeOthers(c, own, others));
  };
  return { ...header, above: filter(header.above), inside: filter(header.inside) };
}
