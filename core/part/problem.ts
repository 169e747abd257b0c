/** Where in an input something is wrong. Lines, columns and pages count from 1; `path` is a place in JSON. */
export interface Place {
  file?: string | undefined;
  line?: number | undefined;
  page?: number | undefined;
  /** An address on a sheet. */
  cell?: string | undefined;
  path?: string | undefined;
}

/** An expected failure as a value. The wording stands in `messages.ts`. */
export interface Problem {
  code: ProblemCode;
  at?: Place | undefined;
  params: Record<string, string | number>;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });
export const refuse = (...problems: Problem[]): Result<never> => ({ ok: false, problems });

export const problem = (code: ProblemCode, params: Problem['params'] = {}, at?: Place): Problem =>
  at === undefined ? { code, params } : { code, at, params };

const MESSAGES = {
  'json-broken': 'This is not JSON ({detail}). Check that the file is whole.',
  'part-shape': '{path}: {expected}. Mend the file or take an earlier copy.',
  'part-newer': 'This part file has schema {schema}; this program reads up to {known}. Use a newer Green Kite.',
  'part-reference': '{path} names {what} "{id}", which the part does not have.',
  'part-id-twice': '{path}: the {what} id "{id}" stands twice.',
  'rules-shape': '{path}: {expected}. Mend the house rules file.',
  'input-empty': 'There is nothing in it. Paste or choose a pin table.',
  'input-large': 'It has {size} MB; {limit} MB is the most. Cut it down to the pin table.',
  'input-binary': 'This is not text. Save the pin table as CSV or paste it.',
  'input-format': '{format} files are not read yet. Save the pin table as CSV or paste its text.',
  'table-none': 'No pin table was found. A table needs a column of pin numbers and one of names.',
  'map-unnamed': '{found} balls were read from a ball map without a list; their types come from their names only.',
  'pinout-drawn-too': 'Another package with {leads} leads is drawn here. Draw a box around it to read it instead.',
  'pinout-drawn': '{found} terminals were read from the drawing of the package; no table lists them. Hold the names against the drawing.',
  'pdf-encrypted': 'It is locked with a password. Save an unlocked copy and read that.',
  'pdf-broken': 'It is damaged or no PDF. Download it again.',
  'pdf-image': 'Its pages are pictures without text. Read a copy with text, or one that was put through text recognition.',
  'pdf-none': 'No pin table was found on its {pages} page(s). Draw a box around the table, or paste it.',
  'pdf-large': 'It has {pages} pages; {limit} is the most. Cut it down to the pages with the pin table.',
  'bsdl-string': 'A string is not closed on this line. Add the closing quote.',
  'bsdl-syntax': 'Expected {expected}, found {found}.',
  'bsdl-map': 'Entity {entity} has no PIN_MAP_STRING constant, so no port has a pin.',
  'bsdl-port': 'Pin map {map} names port "{port}", which is not declared.',
  'bsdl-unmapped': 'Port {port} has no pin in pin map {map}.',
  'ibis-order': '[{keyword}] stands before any [Component].',
  'ibis-pin': 'A pin needs a number, a signal and a model; found "{text}".',
  'ibis-none': 'No [Component] with a [Pin] list was found in it.',
  'ibis-model': 'Model "{model}" of pin {pin} is not in the file.',
  'second-only': 'Only {source} has terminal {number}, {name}.',
  'html-many': 'It holds {tables} tables, too many for one page. Save or copy the part with the pin table.',
  'html-none': 'The page holds no pin table. Copy the table itself, or save it as CSV.',
  'sheet-none': 'There is no sheet "{name}"; it has {known}.',
  'sheet-large': 'Sheet "{name}" has over {limit} filled cells. Cut it down to the pin table.',
  'sheet-broken': 'It is damaged or no workbook. Save it again as .xlsx.',
  'sheet-encrypted': 'It is locked with a password. Save an unlocked copy and read that.',
  'page-damaged': 'Page {page} is damaged: nothing on it could be read. Download the document again.',
  'page-none': 'There is no page {page}; it has {pages}.',
  'edif-syntax': 'Expected {expected}. The file is damaged or no EDIF 2 0 0.',
  'edif-none': 'No schematic view with a symbol was found in it.',
  'edif-construct': '({keyword} …) is not read; it was left out.',
  'edif-snapped': 'Connect point of {pin} was off the grid by {by} of a step; it was moved to {to}.',
  'edif-undrawn': 'Pin {pin} has no place in any unit; it was left out.',
  'table-large': 'It names over {limit} terminals, more than any package has. Check the ranges in the number column.',
  'package-unknown': 'There is no package "{name}" in it. It has {known}.',
  'table-overlaps':
    'The table "{table}" was left out: {again} of its {terminals} numbers stand in the first table too. Take one of the two, or mend the numbers.',
  'column-names': 'Column {column} holds names and was not taken. Set its role if they are terminals too.',
  'column-exchanged': 'The names read like words, and the column "{heading}" like names. Set both roles if they are exchanged.',
  'column-numbers': 'The column "{heading}" looks like terminal numbers too and was not taken. Set its role if it is a package.',
  'row-quote': 'A quoted cell is never closed. Add the closing quote.',
  'row-skipped': 'Row "{text}" was left out: {why}.',
  'rows-left': 'The line "{text}" goes on with the numbers and was not taken. Draw a box around the rest of the table, or add its pins.',
  'pins-in-words': 'The words "{text}" tell of pin {number}, which no row has. Add it, or see that it is of another package.',
  'number-twice': 'Number {number} stands twice: {names}.',
  'number-gap': '{of} numbers {jump}; {missing} missing.',
  'rows-first': '{of} balls begin in row {row}; {missing} missing. Take the table that lists them too.',
  'number-unread': 'The number cell "{text}" could not be read.',
  'count-mismatch': '"{name}" has {names} names and {numbers} numbers.',
  'count-package': '{package} should have {expected} terminals; {found} were read.',
  'text-control': 'It holds control characters, which were taken out.',
  'land-value': '{what} is {value}; {need}.',
  'land-unit':
    'No unit is named, so that the lengths were read as mm: the smallest pad is {least} mm wide. Write “units: mil” or “units: inch” above the heading if they are not.',
  'land-headless':
    'The list has no heading: its columns are taken as number, x, y, width and height in {unit}. Compare them with the drawing.',
  'land-column': 'There is no column for {what}. Name the columns number, x, y, w, h, shape.',
  'land-number': '{what} "{text}" is not a length. Give it in mm, mil or inch.',
  'land-family': '"{text}" is no package name this program can make a land from. {hint}',
  'xml-entity': 'It declares entities of its own, which are never resolved. Save it without a document type.',
  'xml-syntax': 'It is damaged: {what}.',
  'ipc-none': 'No package with pins was found in it.',
  'ipc-units': 'It does not say what its lengths are in ({units}). Give millimetres, microns or inches.',
  'ipc-pins': 'Package "{name}" has no pins.',
  'ipc-value': 'The {what} of pin {pin}, "{text}", is not a length.',
  'ipc-shape': 'Pin {pin} has no shape that could be read.',
  'ipc-record': 'The record "{text}" has no pin number or no place.',
  'ipc-angle': 'Pin {pin} is turned by {angle} degrees; it was taken at the nearest quarter turn.',
  'ipc-outline': 'A pad has a free outline ({shape}); the box around it was taken.',
  'spice-none': 'No .subckt or .model card was found in it.',
  'spice-unterminated': '.subckt {name} has no .ends.',
  'spice-stray-ends': '.ends without a .subckt before it.',
  'spice-card': 'The card "{text}" could not be read: {why}.',
  'spice-web-page': 'This is a web page, not a model file. Download the model file itself.',
  'spice-unsafe': '{card} is never followed or run.',
  'spice-elsewhere': '{card} names another file, which is not followed. Paste what is needed into this one.',
  'spice-ends-name': '.ends {name} closes .subckt {open}. Check where each of them ends.',
  'spice-cut': '.model {name} has a bracket that is never closed: the file may be cut off.',
  'spice-base': '.model {name} derives from {base}, which is not in the file.',
  'spice-sealed': 'The text from here on is encrypted: names and nodes can be read, nothing else.',
  'spice-dialect': '{construct} is not in Berkeley SPICE 3 ({where}); {what}.',
  'spice-model-unknown': 'There is no model "{name}" in it. It has {known}.',
  'archive-broken': 'This is not a zip archive, or it is damaged.',
  'archive-path': 'The archive names "{path}", which leads out of its folder. Nothing was taken from it.',
  'archive-large': 'Unpacked, the archive would be over {limit} MB. Nothing was taken from it.',
  'archive-source': 'The source "{name}" in the archive is damaged and was left out.',
  'archive-empty': 'There is no part file (.kite.json) in the archive.',
  'pins-column': 'The pin list needs the columns number and name.',
  'pins-number': 'The pin "{text}" has no number.',
  'map-column': 'The map needs the columns pin and node.',
  'map-unknown': 'There is no {what} "{text}".',
  'release-blocked': '{count} finding(s) of severity error are open. Mend or waive each one first.',
  'release-doubts': '{count} doubt(s) are open. Confirm or correct each one first.',
  'release-version': '"{version}" is not a version. Write it like 1.0 or 1.2.3.',
  'release-taken': 'Version {version} is released already. Choose a later one.',
  'release-note': 'A release needs a note that says what it is.',
} as const;

export type ProblemCode = keyof typeof MESSAGES;

/** The sentence a person reads, with its place in front: `pins.csv, line 4: …`. One line, whatever the input held. */
export function sayProblem({ code, at, params }: Problem): string {
  const sentence = MESSAGES[code].replace(/\{(\w+)\}/g, (_, key: string) => printable(String(params[key] ?? '')));
  const place = [
    at?.file,
    at?.page === undefined ? undefined : `page ${at.page}`,
    at?.line === undefined ? undefined : `line ${at.line}`,
    at?.cell === undefined ? undefined : `cell ${at.cell}`,
  ].filter((p) => p !== undefined);
  return place.length > 0 ? `${place.join(', ')}: ${sentence}` : sentence;
}

/** Text of an input as it may stand in a message: no control characters, not endless. */
function printable(text: string): string {
  const clean = text.replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g, ' ').trim();
  return clean.length > 120 ? `${clean.slice(0, 117)}…` : clean;
}
