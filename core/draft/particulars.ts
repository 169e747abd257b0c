import type { Cover, Proposal, Said } from '../intake';
import { isPlaceholder, numberIn } from './title';
import type { Part, Source } from '../part';

/** What identifies a part and stands in its document: offered where the part has nothing of its own there. */
export interface Particular {
  field: 'name' | 'description' | 'maker' | 'datasheet' | 'orderCodes';
  /** As a person reads it. */
  text: string;
  set: Partial<Pick<Part, 'name' | 'description' | 'maker' | 'datasheet' | 'orderCodes'>>;
  /** The place in the document; missing where it is the file's name. */
  said?: Said;
}

/**
 * The particulars that a source gives a part, in the order of its form. A name that nobody chose, and fields that are empty,
 * are filled; what a person wrote stays. A document that is of another part gives nothing but itself.
 */
export function particularsOf(part: Part, proposal: Proposal, source: Source): Particular[] {
  const { number, description, ...cover } = saidBy(proposal);
  const offered: Particular[] = [];
  const offer = (field: Particular['field'], text: string, set: Particular['set'], said?: Said) =>
    void offered.push({ field, text, set, ...(said?.page === undefined ? {} : { said }) });

  const isUnnamed = isPlaceholder(part.name);
  const name = isUnnamed
    ? (number?.value ?? numberOfFile(source.name))
    : number && isSame(number.value, part.name)
      ? number.value
      : undefined;
  if (name !== undefined && name !== part.name) offer('name', name, { name }, number);
  if (ofAnother(part, proposal) !== undefined) return [...offered, ...datasheetOf(part, proposal.cover, source)];

  if (description && part.description === '') offer('description', description.value, { description: description.value }, description);
  if (cover.maker && part.maker === '') offer('maker', cover.maker.value, { maker: cover.maker.value }, cover.maker);
  offered.push(...datasheetOf(part, proposal.cover, source));
  const codes = cover.orderCodes.map((c) => c.value);
  const areOwn = isUnnamed || (number !== undefined && isRelated(number.value, part.name));
  if (areOwn && codes.length > 0 && part.orderCodes.length === 0)
    offer('orderCodes', codes.join(', '), { orderCodes: codes }, cover.orderCodes[0]);
  return offered;
}

/** What a source says of its part: its cover, and its first line where the cover names no number. */
function saidBy({ cover = { orderCodes: [] }, title = '' }: Proposal): Cover {
  const titled = cover.number ? undefined : numberIn(title);
  if (!titled) return cover;
  const description = cover.description ?? (titled.rest === '' ? undefined : { value: titled.rest });
  return { ...cover, number: { value: titled.number }, ...(description ? { description } : {}) };
}

/** The number of the part that a document is of, where it names neither this part nor one of its family. */
export function ofAnother(part: Part, proposal: Proposal): string | undefined {
  const { number, others = [] } = saidBy(proposal);
  if (!number || isPlaceholder(part.name)) return undefined;
  // A house may call it by a name of its own: then its order codes or the datasheet that it has name the maker's part.
  const titled = numberIn(part.datasheet?.title ?? '')?.number;
  const own = [part.name, part.baseName, ...part.orderCodes, titled].flatMap((n) => n || []);
  return [number.value, ...others].some((n) => own.some((o) => isRelated(n, o))) ? undefined : number.value;
}

/** A part with what its source gives it. */
export const withParticulars = (part: Part, particulars: readonly Particular[]): Part =>
  particulars.reduce((p, { set }) => ({ ...p, ...set }), part);

/** A document that pins are read from is the part's datasheet until a person names another; a list or a model file is none. */
function datasheetOf(part: Part, cover: Cover | undefined, source: Source): Particular[] {
  if (part.datasheet?.title || source.kind !== 'pdf') return [];
  const title = titleOfDocument(cover, source);
  const set = { datasheet: { ...part.datasheet, title, source: source.digest } };
  return [{ field: 'datasheet', text: title, set, ...(cover?.revision?.page === undefined ? {} : { said: cover.revision }) }];
}

/** `TF7311 datasheet, revision C`; the file's name where the document does not say what it is of. */
export const titleOfDocument = (cover: Cover | undefined, source: Source): string =>
  cover?.number ? `${cover.number.value} datasheet${cover.revision ? `, revision ${cover.revision.value}` : ''}` : source.name;

const isSame = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

/** Of one family: `TF7311` and `TF7311-B`. */
const isRelated = (a: string, b: string): boolean => {
  const [x, y] = [a, b].map((n) => n.toLowerCase().replace(/[^a-z0-9]/g, ''));
  return x!.startsWith(y!) || y!.startsWith(x!);
};

/** The number in the name of a file: `datasheet.pdf` and `pasted text` have none. */
function numberOfFile(file: string): string | undefined {
  const stem = file.replace(/\.[^.]*$/, '').trim();
  const name = numberIn(stem)?.number ?? (/\d/.test(stem) && !/\s/.test(stem) ? stem : undefined);
  return name?.toUpperCase();
}
