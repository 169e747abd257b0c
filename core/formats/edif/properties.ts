import { atomOf, formIn, formsIn, isForm, numberOf, textOf, type Form, type Item } from './form';
import { plainString } from './names';

/** The properties of a form by their names in capitals: strings, numbers and flags as text. */
export function propertiesOf(form: Form | undefined): Map<string, string> {
  const found = new Map<string, string>();
  for (const property of form ? formsIn(form, 'property') : []) {
    const name = nameOf(property.items[0])?.name.toUpperCase();
    const value = valueOf(property);
    if (name !== undefined && value !== undefined) found.set(name, value);
  }
  return found;
}

function valueOf(property: Form): string | undefined {
  const string = formIn(property, 'string');
  if (string) return plainString(textOf(string) ?? '');
  const integer = formIn(property, 'integer');
  if (integer) return String(numberOf(integer.items[0]) ?? '');
  const boolean = formIn(property, 'boolean');
  return boolean ? String(formIn(boolean, 'true') !== undefined) : undefined;
}

/** Lines of a property; undefined where it is not there. */
export const linesOf = (properties: ReadonlyMap<string, string>, name: string): string[] | undefined => properties.get(name)?.split('\n');

/** What a name form says: an identifier, `(rename ID "text")`, or `(name ID (display …))`. */
export function nameOf(item: Item | undefined): { id: string; name: string } | undefined {
  if (item === undefined) return undefined;
  if ('atom' in item) return { id: item.atom.toLowerCase(), name: item.atom.replace(/^&/, '') };
  if (!isForm(item)) return undefined;
  const id = item.keyword === 'rename' ? nameOf(item.items[0]) : undefined;
  if (id) {
    const text = textOf(item) ?? textOf(formIn(item, 'stringdisplay'));
    return { id: id.id, name: text === undefined ? id.name : plainString(text) };
  }
  return item.keyword === 'name' ? nameOf(item.items[0]) : undefined;
}

/** The text of `(designator "1")`, displayed or not. */
export const designatorOf = (form: Form): string | undefined => {
  const designator = formIn(form, 'designator');
  const text = designator ? (textOf(designator) ?? textOf(formIn(designator, 'stringdisplay'))) : undefined;
  return text === undefined ? atomOf(designator) : plainString(text);
};
