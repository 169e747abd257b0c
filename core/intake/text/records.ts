import type { Grid, GridRow } from '../table/grid';
import { headingWorth } from '../table/headings';
import { looksLikeTerminal } from '../table/numbers';

/** A key and its value, `name: VDD` or `name = "VDD"`, which may begin a record: `- number: 1`. */
const ENTRY = /^\s*(-\s+)?["']?([A-Za-z][\w .#/-]{0,30}?)["']?\s*(?::\s+|=\s*)(\S.*)$/;
/** The head of a record of keys, `[[pin]]` and `[12]`. */
const SECTION = /^\s*\[{1,2}\s*([\w .-]{1,30}?)\s*\]{1,2}\s*$/;
/** A terminal's number over its fields, `12:`. */
const TERMINAL = /^\s*["']?([A-Za-z]{0,2}\d{1,4}|EP)["']?\s*:\s*$/;
const MOST_OTHERS = 2;
/** Fewer records than this are settings. */
const LEAST = 2;

/** A pinout written as records, a list of objects in JSON (RFC 8259) or of keys and values; undefined where the text is none. */
export const recordsGrid = (lines: readonly string[]): Grid | undefined => {
  const first = lines.find((l) => l.trim() !== '')?.trim() ?? '';
  if (/^[[{]/.test(first) && !SECTION.test(first)) return jsonGrid(lines) ?? (/^\{.*\}$/.test(first) ? jsonGrid(asList(lines)) : undefined);
  return keyedGrid(lines) ?? inlineGrid(lines) ?? attributesGrid(lines);
};

/** An object in each line as a list of them. */
const asList = (lines: readonly string[]): string[] => ['[', lines.filter((l) => l.trim() !== '').join(',\n'), ']'];

type Fields = [key: string, value: string][];

/** A value without the quotes around it. */
const unquoted = (value: string): string => value.replace(/^(["'])(.*)\1$/, '$2').trim();

function jsonGrid(lines: readonly string[]): Grid | undefined {
  let value: unknown;
  try {
    value = JSON.parse(lines.join('\n'));
  } catch {
    return undefined;
  }
  const list = listIn(value, 0);
  const records = ((list ?? []) as unknown[]).map((record) =>
    Object.entries((record ?? {}) as object).map(([key, v]): Fields[number] => [key, textOf(v)]),
  );
  return gridOf(records.map((fields, i) => ({ fields, line: i + 1 })));
}

/** How deep a list of terminals lies in what is said of the part, at most. */
const DEEPEST = 4;

/** The list of terminals in a value: the value itself, one of its fields, or what lies in one of them. */
function listIn(value: unknown, depth: number): readonly unknown[] | undefined {
  if (Array.isArray(value)) return value;
  if (typeof value !== 'object' || value === null || depth > DEEPEST) return undefined;
  const fields: unknown[] = Object.values(value);
  const own = (fields.find((v) => Array.isArray(v) && v.some((e) => typeof e === 'object')) as unknown[] | undefined) ?? byKeys(value);
  if (own) return own;
  for (const field of fields) {
    const list = Array.isArray(field) ? undefined : listIn(field, depth + 1);
    if (list && list.length > 1) return list;
  }
  return fields.find(Array.isArray);
}

/** An object of terminals by their numbers or names: each key is one more field of its record. */
function byKeys(value: object): object[] | undefined {
  const entries = Object.entries(value) as [string, unknown][];
  // `{ "pins": { … } }`
  if (entries.length === 1 && typeof entries[0]![1] === 'object' && entries[0]![1] !== null) return byKeys(entries[0]![1]);
  const areKeys = entries.filter(([key]) => looksLikeTerminal(key)).length > 0.8 * entries.length;
  const [own, other] = areKeys ? ['pin', 'name'] : ['name', 'pin'];
  if (entries.every(([, of]) => typeof of === 'object' && of !== null && !Array.isArray(of)))
    return entries.map(([key, of]) => ({ [own]: key, ...(of as object) }));
  const areTexts = entries.every(([, of]) => typeof of === 'string' || typeof of === 'number');
  return areTexts && (areKeys || entries.every(([, of]) => looksLikeTerminal(String(of))))
    ? entries.map(([key, of]) => ({ [own]: key, [other]: of }))
    : undefined;
}

const textOf = (value: unknown): string =>
  Array.isArray(value) ? value.map(textOf).join(', ') : typeof value === 'object' ? '' : String(value);

/** A record begins with a dash, or with the first key that stands in several of them; what stands before the first is said of the part. */
function keyedGrid(lines: readonly string[]): Grid | undefined {
  const records: { fields: Fields; line: number }[] = [];
  let opens: string | undefined;
  let others = 0;
  for (const [i, text] of lines.entries()) {
    const section = SECTION.exec(text)?.[1];
    if (section !== undefined) {
      records.push({ fields: looksLikeTerminal(section) ? [['pin', section]] : [], line: i + 1 });
      opens = '';
      continue;
    }
    const opened = TERMINAL.exec(text)?.[1];
    if (opened !== undefined && looksLikeTerminal(opened)) {
      records.push({ fields: [['pin', opened]], line: i + 1 });
      opens = '';
      continue;
    }
    const [, dash, key, value] = ENTRY.exec(text) ?? [];
    if (key === undefined || value === undefined) {
      // A title above, and a key that holds the list: a text with more is none, and its other lines need no look.
      if (text.trim() !== '' && ++others > MOST_OTHERS) return undefined;
      continue;
    }
    opens ??= openingKey(lines);
    if (dash !== undefined || (key === opens && opens !== '')) records.push({ fields: [], line: i + 1 });
    records.at(-1)?.fields.push([key, unquoted(value)]);
  }
  return records.every((r) => r.fields.length > 1) && shareKeys(records) ? gridOf(records) : undefined;
}

/** Records have fields of the same kinds; parts of a list that each name other things are none. */
const shareKeys = (records: readonly { fields: Fields }[]): boolean => {
  const keys = records.flatMap((r) => [...new Set(r.fields.map(([key]) => key))]);
  return new Set(keys).size < keys.length;
};

/** The key that begins the records of a text: the first that stands in it again; none where dashes begin them. */
function openingKey(lines: readonly string[]): string {
  const keys = lines.flatMap((text) => {
    const [, dash, key] = ENTRY.exec(text) ?? [];
    return key === undefined ? [] : [dash === undefined ? key : ''];
  });
  const counts = new Map<string, number>();
  for (const key of keys) counts.set(key, (counts.get(key) ?? 0) + 1);
  return counts.has('') ? '' : (keys.find((key) => counts.get(key)! >= LEAST) ?? '');
}

/** What parts the fields of a record in one line: wide blanks, a bar, a semicolon, or a comma before the next key. */
const BETWEEN = /\s{2,}|\s*[;|]\s*|,\s+(?=[A-Za-z][\w #-]{0,20}[:=])/;
const FIELD = /^["']?([A-Za-z][\w .#/()-]{0,24}?)["']?\s*[:=]\s*(\S.*)$/;
/** A longer line is no record. */
const LONGEST_RECORD = 1000;

/** A record in each line, `Pin: 1, 2   Name: VIN   Function: supply input`; most lines are such, and all have their first key. */
function inlineGrid(lines: readonly string[]): Grid | undefined {
  const filled = lines.filter((l) => l.trim() !== '').length;
  const records = lines.flatMap((text, i) => {
    if (text.length > LONGEST_RECORD || !/[:=].*[:=]/.test(text)) return [];
    const parts = text
      .trim()
      .replace(/([:=])\s+/g, '$1 ')
      .split(BETWEEN);
    const fields = parts.flatMap((part): Fields => {
      const [, key, value] = FIELD.exec(part) ?? [];
      return key !== undefined && value !== undefined ? [[key, unquoted(value)]] : [];
    });
    return fields.length > 1 && fields.length === parts.length ? [{ fields, line: i + 1 }] : [];
  });
  const [first] = records[0]?.fields[0] ?? [];
  const areAlike = records.every((r) => r.fields[0]![0] === first);
  const areHeadings = headingWorth(records[0]?.fields.map(([key]) => key) ?? []) > 1;
  return areAlike && areHeadings && records.length >= 0.7 * filled ? gridOf(records) : undefined;
}

const ATTRIBUTE = /\b([A-Za-z][\w.:-]{0,30})\s*=\s*"([^"]{0,300})"/g;

/** A record in each element of a markup text, its fields as attributes: `<pin number="1" name="VDD"/>` (XML 1.0, 3.1). */
function attributesGrid(lines: readonly string[]): Grid | undefined {
  if (!lines.some((l) => /^\s*<\w/.test(l))) return undefined;
  const records = lines.flatMap((text, i) => {
    const fields = /^\s*<\w/.test(text) ? [...text.matchAll(ATTRIBUTE)].map((m): Fields[number] => [m[1]!, m[2]!]) : [];
    return fields.length > 1 ? [{ fields, line: i + 1 }] : [];
  });
  return gridOf(records);
}

function gridOf(records: readonly { fields: Fields; line: number }[]): Grid | undefined {
  const keys = [...new Set(records.flatMap((r) => r.fields.map(([key]) => key)))];
  if (records.length < LEAST || keys.length < 2 || keys.length > 20) return undefined;
  const rows = records.map(({ fields, line }): GridRow => {
    const of = new Map(fields);
    return { line, cells: keys.map((key) => of.get(key) ?? '') };
  });
  return { layout: 'cells', rows: [{ line: 0, cells: keys }, ...rows] };
}
