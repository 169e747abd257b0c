import type { Comment } from '../cards';
import type { Header } from './found';

const words = (text: string): string[] => text.toLowerCase().match(/[\w.+-]{3,}/g) ?? [];
const isBreak = (text: string): boolean => /^[\s\-=*_#]*$/.test(text);

/**
 * Takes out what speaks of another model: from a line that names one until a line that names this one, or a blank or
 * ruled line. Makers often describe a whole family of models above the first of them.
 */
export function ownComments(header: Header, others: ReadonlySet<string>): Header {
  const own = header.name.toLowerCase();
  const filter = (comments: Comment[]): Comment[] => {
    let isForeign = false;
    return comments.filter(({ text }) => {
      const named = words(text);
      if (named.includes(own)) isForeign = false;
      else if (named.some((w) => others.has(w) && !header.nodes.some((n) => n.toLowerCase() === w))) isForeign = true;
      else if (isBreak(text)) isForeign = false;
      return !isForeign;
    });
  };
  return { ...header, above: filter(header.above), inside: filter(header.inside) };
}
