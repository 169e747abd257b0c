import type { Column, ColumnRole } from '../proposal';
import { isTypeCode, isTypePhrase, typeInOneLine } from '../understand/type-codes';
import { cellAt, type GridRow } from './grid';
import {
  isBankHeading,
  isOfColours,
  isOfPackage,
  isOverNumbers,
  isPeripheral,
  isRowOfContacts,
  packageOfHeading,
  roleOfHeading,
} from './headings';
import { isCounted, isSmallBall, labelled, looksLikeNumbers, readCountedCell } from './numbers';
import { ticked } from './forms/ticks';
import { versionsIn, withVersions } from './versions';

/** What a column holds shows in so many of its rows. */
const ENOUGH_ROWS = 120;

/** Some rows of a long table, evenly over all of it. */
const spread = (rows: GridRow[]): GridRow[] => {
  const step = Math.ceil(rows.length / ENOUGH_ROWS);
  return step < 2 ? rows : rows.filter((_, i) => i % step === 0);
};

/** True where more than one cell is filled. */
function hasTwo(row: GridRow): boolean {
  let count = 0;
  for (const cell of row.cells) if (cell.trim() !== '' && ++count > 1) return true;
  return false;
}

/** `Mode 1`, `I2C`: a column for terminals as they are called there. */
const OF_MODE = /\bmode\b|^(spi|i2c|i²c|uart|serial|parallel)\b/i;

/** What a terminal's circuit is, which tells a direction only where no other column does. */
const OF_CELL = /^\s*(pad|buffer|cell|port|driver)\b/i;

/** What a terminal is joined to, or marked with: its name only where nothing else is. */
const NET = /^\s*(?:net(?:[ _-]?name)?|connections?|markings?|windings?)\s*$/i;

/** What stands over no words that say what a terminal is: how one is left that nobody uses, where its pad lies. */
const OF_ELSE =
  /^\W*(?:(?:\w+ )?(?:if |when )?(?:un|not )used\b.*|termination|(?:x|y)(?:[- ](?:coord(?:inate)?|pos(?:ition)?|location))?(?: ?[([]?(?:[uµμ]?m|mm|mils?|in|inch)[)\]]?)?)\W*$/i;

/** As long as the title of a group is. */
const isShort = (text: string): boolean => text.length <= 24 && text.split(/\s+/).length <= 3;

/** A name as circuits have it, with nothing in small letters. */
const isCapitals = (text: string): boolean => /^[A-Z0-9_+\-−–/#~*.[\]{}]+$/.test(text) && /[A-Z]/.test(text);

/** Words that begin with a name: `PA0: GPIO`. */
const NAMED_WORDS = /^([A-Z][\w+\-/#]{1,15}):\s/;

/** Over what a terminal is before anything is set. */
const AT_START = /^(?:default|reset|initial|power-?(?:up|on)|boot)(?: (?:function|signal|name))s?$/i;

/** A word or a few, the first of them no abbreviation with figures. */
const IN_WORDS = /^[A-Za-z]{3,}(?:[\s/&-]+[A-Za-z\d]+){0,4}$/;

/** What stands over the count of the rows, and over numbers as often. */
const COUNT = /^(#|no\.?|nr\.?|item|index|序号)$/i;

/** In so many rows it shows whether cells are a few kinds. */
const MANY_ROWS = 6;

/** True where a column holds 1, 2, 3 in its rows. */
const countsRows = (rows: readonly GridRow[], i: number): boolean =>
  rows.length > 2 && rows.every((r, k) => r.cells[i]?.trim() === String(k + 1));

const filledCells = (rows: readonly GridRow[], i: number): string[] => rows.map((r) => cellAt(r, i)).filter((c) => c !== '');

/** `a1`, `c12`: balls in small letters, in several rows of the grid, where no figure is 0 as names have it. */
function areSmallBalls(rows: readonly GridRow[], i: number): boolean {
  const cells = filledCells(rows, i);
  const balls = cells.filter(isSmallBall);
  const letters = new Set(balls.map((c) => c.replace(/\d+/, '')));
  return balls.length > 3 && balls.length > 0.8 * cells.length && letters.size > 1 && new Set(balls).size === balls.length;
}

/** `A`, `B`, `C` as round connectors count their contacts, down to `Z` and on with `a` or `AA`; a case may stand among them. */
function areLetters(rows: readonly GridRow[], i: number): boolean {
  const cells = filledCells(rows, i);
  const letters = cells.filter((c) => /^(?:[A-Za-z]|([A-Z])\1)$/.test(c));
  const rank = (c: string) => (c.length > 1 ? c.charCodeAt(0) + 64 : c.charCodeAt(0));
  const counts = letters.every((c, k) => k === 0 || (rank(c) > rank(letters[k - 1]!) && rank(c) - rank(letters[k - 1]!) < 9));
  return (
    letters.length > 2 && letters[0] === 'A' && counts && cells.every((c) => letters.includes(c) || readCountedCell(c).kind !== 'unread')
  );
}

const isPhrase = (cell: string): boolean => /[a-z]{2,}[ /-][A-Za-z]/.test(cell);
/** A name as it stands in a column of names: a word with a capital or a sign, and no sentence. */
const isToken = (cell: string): boolean => /^[+\-−]?[A-Z][A-Za-z0-9_+\-−/#.]{0,15}$/.test(cell);
/** `+Vin` and `TRIM`; `Red` is a wire's colour. */
const isSign = (cell: string): boolean => /[+\-−\d]|[A-Z]{2}/.test(cell);
const areUnlike = (rows: readonly GridRow[], i: number): boolean => {
  const cells = filledCells(rows, i);
  return cells.length > 2 && new Set(cells).size === cells.length;
};

/** What stands under `Power` again and again is a rail, and no function of each terminal. */
const areMostlyUnlike = (rows: readonly GridRow[], i: number): boolean => {
  const cells = filledCells(rows, i);
  return new Set(cells).size >= 0.7 * cells.length;
};

/** Settles what each column is: headings first, then the cells where a heading is ambiguous or silent. */
export function rolesOf(headings: readonly string[], rows: readonly GridRow[]): Column[] {
  const versions = versionsIn(headings, rows);
  const roles = headings.map((h, i) => {
    if (isOfColours(h)) return 'ignore';
    const role = roleOfHeading(h) ?? (isOfPackage(h) ? 'number' : undefined);
    return role ?? (versions.includes(i) ? (i === versions[0] ? 'name' : 'alternates') : undefined);
  });
  let known: GridRow[] | undefined;
  const share = (i: number, test: (cell: string) => boolean) => {
    // Headings of groups stand alone in their row and say nothing of the column that they begin in.
    const body = (known ??= spread(rows.filter(hasTwo)));
    const cells = filledCells(body, i);
    return cells.length === 0 ? 0 : cells.filter(test).length / cells.length;
  };
  /** Names in capitals in at least such a share of the rows, and not codes of types. */
  const areCapitals = (i: number, least: number) => share(i, isCapitals) >= least && share(i, isTypeCode) < 0.5;
  const isNumbers = (i: number) =>
    (share(i, (c) => readCountedCell(c).kind !== 'unread' || labelled(c) !== undefined) >= 0.7 &&
      share(i, (c) => looksLikeNumbers(c) || isCounted(c) || labelled(c) !== undefined) >= 0.3) ||
    areSmallBalls(rows.filter(hasTwo), i) ||
    areLetters(rows.filter(hasTwo), i);
  const areFigures = (i: number) =>
    share(i, (c) => c.split(/[\s,;&–-]+/).every((n) => /^\d{0,4}$/.test(n))) === 1 && share(i, (c) => /\d/.test(c)) > 0;
  // `No. | Pin | Function`: where the rows are counted, the balls stand under `Pin`.
  const areCounted = roles.some((r, i) => r === 'number' && COUNT.test(headings[i]!.trim()) && countsRows(rows, i));
  const isBesideNames = (i: number) => roles.some((r, k) => k !== i && (r === 'ambiguous' || r === 'name') && share(k, isCapitals) >= 0.8);
  // D0 and A0 are names.
  const isOfBalls = (i: number) =>
    areCounted &&
    isOverNumbers(headings[i]!) &&
    share(i, (c) => /^[A-Z]{1,2}[1-9]\d?$/.test(c)) === 1 &&
    areUnlike(rows, i) &&
    isBesideNames(i);
  // `Signal | LQFP48`: what else could be the name, where numbers have their own heading?
  const isOnlyName =
    roles.includes('number') &&
    !roles.some((r, i) => r === 'name' && !NET.test(headings[i]!)) &&
    roles.filter((r, i) => r === 'ambiguous' && !/^\W*functions?\W*$/i.test(headings[i]!)).length === 1;
  // Where one row of contacts has names, `+5V`, all have, though D0 and D1 could be numbers.
  const areRowsOfNames = () => headings.some((h, i) => isRowOfContacts(h) && !isNumbers(i));
  const settled: (ColumnRole | undefined)[] = roles.map((role, i) => {
    // `U7` in every row is the part on its board.
    if (role === 'number' && rows.length > 2 && roles.includes('ambiguous') && share(i, (c) => c === rows[0]!.cells[i]?.trim()) === 1)
      return 'ignore';
    // `Row B` stands over the names of a connector's contacts as often as over their numbers.
    if (role === 'number' && isRowOfContacts(headings[i]!) && areRowsOfNames()) return 'name';
    // `Position`: left and right of the part, where others have the numbers.
    const isElse = role === 'number' && roles.some((other, k) => k !== i && (other === 'number' || other === 'ambiguous'));
    if (isElse && share(i, (c) => readCountedCell(c).kind === 'unread' && labelled(c) === undefined) > 0.9) return 'ignore';
    if (role !== 'ambiguous') return role;
    if (isOfBalls(i)) return 'number';
    // Beside plain figures D0 and A1 are names.
    const isBeside = !areFigures(i) && (isOnlyName || roles.some((other, k) => other === 'ambiguous' && k !== i && areFigures(k)));
    return isNumbers(i) && !isBeside ? 'number' : undefined;
  });
  // The numbers before them have no heading.
  const unheaded = headings.findIndex((h, i) => h.trim() === '' && isNumbers(i));
  if (unheaded >= 0 && !settled.includes('number') && headings.some((h, i) => isRowOfContacts(h) && settled[i] === 'name'))
    settled[unheaded] = 'number';
  // `Input | Output`, a tick in each row.
  const ticks = ticked(headings, rows);
  for (const i of ticks) settled[i] = 'type';
  // A count of the rows before the balls is no package's number.
  const numbered = settled.flatMap((role, i) => (role === 'number' ? [i] : []));
  for (const i of numbered) {
    const isCount = COUNT.test(headings[i]!.trim()) && countsRows(rows, i);
    if (isCount && numbered.some((other) => other !== i && !countsRows(rows, other))) settled[i] = 'ignore';
  }
  const has = (role: ColumnRole) => settled.includes(role);
  // Several rows with one number between them: what stands in capitals in each is a function of the terminal.
  const areFunctions = (i: number) =>
    numbered.length > 0 &&
    !has('alternates') &&
    rows.filter((r) => numbered.every((n) => r.same?.[n])).length > 0.2 * rows.length &&
    areCapitals(i, 0.8);
  // `Function | Pins | Numbers`: of what may be a name, the column in capitals is.
  const areNames = (i: number) => share(i, (c) => c.split(/[\s,;]+/).every(isCapitals)) >= 0.8;
  // A net is what a board calls the terminal; it is its name only where nothing else is.
  const isNet = (i: number) => settled[i] === 'name' && NET.test(headings[i]!);
  const isNamed = settled.some((role, i) => (role === 'name' ? !isNet(i) : role === undefined && roles[i] === 'ambiguous' && areNames(i)));
  // `Terminal | Designation`: signs as names have them, and words for each under a heading of names.
  const [called, inPhrases] = [settled.findIndex((role, i) => role === undefined && roles[i] === 'ambiguous'), settled.indexOf('name')];
  if (called >= 0 && inPhrases >= 0 && share(inPhrases, isPhrase) >= 0.6 && share(called, isToken) >= 0.9 && share(called, isSign) >= 0.5)
    [settled[called], settled[inPhrases]] = ['name', 'description'];
  const groups = settled.filter((role) => role === 'group').length;
  headings.forEach((heading, i) => {
    if (isNamed && isNet(i)) settled[i] = 'ignore';
    // Beside groups that are called so, a bank says where a terminal's cell stands on the die.
    if (groups > 1 && settled[i] === 'group' && isBankHeading(heading)) settled[i] = 'ignore';
  });
  const open = settled.flatMap((role, i) => (role === undefined && roles[i] === 'ambiguous' ? [i] : []));
  if (open.length > 1 && !has('name') && !areNames(open[0]!)) {
    const names = open.find(areNames);
    if (names !== undefined) settled[names] = 'name';
  }
  // `Pin | Single output | Function`: names stand under a heading that nobody knows, and words under the other.
  if (open.length === 1 && !has('name') && rows.length > 2 && share(open[0]!, isPhrase) >= 0.6) {
    const tokens = headings.findIndex(
      (_, i) =>
        settled[i] === undefined && roles[i] === undefined && share(i, isToken) === 1 && share(i, isSign) >= 0.5 && areUnlike(rows, i),
    );
    if (tokens >= 0) settled[tokens] = 'name';
  }
  settled.forEach((role, i) => {
    if (role === undefined && roles[i] === 'ambiguous') settled[i] = !has('name') ? 'name' : areFunctions(i) ? 'alternates' : 'description';
  });
  // `Mode 0 | Mode 1 | Description`: names in capitals are names, whatever is written over them.
  if (!has('name') && has('number')) {
    const names = headings.findIndex((_, i) => roles[i] === undefined && settled[i] === undefined && !isNumbers(i) && areCapitals(i, 0.8));
    if (names >= 0 && settled.includes('description')) settled[names] = 'name';
  }
  // The same terminals in another mode have other names.
  if (has('name') && !has('alternates')) {
    const isOther = (h: string, i: number) => settled[i] === undefined && OF_MODE.test(h) && areCapitals(i, 0.7);
    // Several kinds of functions, a column each.
    const isKind = (h: string, i: number) =>
      roles[i] === undefined && settled[i] === undefined && isPeripheral(h) && share(i, isCapitals) >= 0.7 && areMostlyUnlike(rows, i);
    const kinds = headings.flatMap((h, i) => (isKind(h, i) ? [i] : []));
    if (kinds.length > 1) for (const i of kinds) settled[i] = 'alternates';
    // `Mode 1` beside `Mode 0` is another of them, however few cells it has.
    const uncounted = (h: string) => h.replace(/\d+/g, '#');
    const others = new Set(headings.filter(isOther).map(uncounted));
    headings.forEach((h, i) => {
      if (settled[i] === undefined && others.has(uncounted(h))) settled[i] = 'alternates';
    });
  }
  // What a terminal is when the part starts is another of its names, as long as it is one.
  if (has('name') && has('number'))
    headings.forEach((h, i) => {
      if (settled[i] === undefined && AT_START.test(h) && areCapitals(i, 0.8)) settled[i] = 'alternates';
    });
  // `PA9` of a controller beside the numbers of a connector: its port, and no number.
  if (numbered.length > 1) for (const i of numbered) if (share(i, (c) => /^P[A-K]\d{1,2}$/.test(c)) >= 0.7) settled[i] = 'alternates';
  // Words under no heading before all other columns, each of which stands for several rows, are titles of groups.
  const first = headings.findIndex((h, i) => h.trim() !== '' || rows.some((r) => (r.cells[i]?.trim() ?? '') !== ''));
  if (!has('group') && headings[first]?.trim() === '' && rows.length > 3) {
    const alone = rows.filter((r) => r.same?.[first] || (r.cells[first]?.trim() ?? '') === '').length;
    if (alone >= 0.4 * rows.length && share(first, (c) => IN_WORDS.test(c) && c.length <= 32) === 1) settled[first] = 'group';
  }
  // Functions that each stand once for several rows are groups of terminals.
  settled.forEach((role, i) => {
    if (role !== 'description' || has('group') || rows.length < 5 || rows.filter((r) => r.same?.[i]).length < 0.5 * rows.length) return;
    if (share(i, isShort) === 1) settled[i] = 'group';
  });
  // Before all other columns, in the first row and in few others, they are too.
  if (
    settled[first] === 'description' &&
    roles[first] === 'ambiguous' &&
    !has('group') &&
    rows.length > 5 &&
    rows[0]!.cells[first]?.trim()
  ) {
    const cells = filledCells(rows, first);
    const areTitles = cells.every(isShort) && new Set(cells).size === cells.length;
    if (areTitles && cells.length > 1 && cells.length <= 0.7 * rows.length) settled[first] = 'group';
  }
  // `SPI` beside `4–7` and `SCK, MISO, MOSI, CS`, and other words behind: what all terminals of a row are.
  if (settled[first] === 'description' && roles[first] === 'ambiguous' && !has('group') && has('name') && rows.length > 2) {
    const areLists = share(settled.indexOf('name'), (c) => /[,;\n]|\S[–-]\S|\.\./.test(c)) >= 0.6;
    const hasWords = settled.some((role, i) => role === 'description' && i !== first);
    if (areLists && hasWords && share(first, isShort) === 1 && areUnlike(rows, first)) settled[first] = 'group';
  }
  // `Pin | Function | Description`: where nothing is called a name, the function is one.
  if (!has('name')) {
    const functions = settled.map((r, i) => (r === 'description' ? i : -1)).filter((i) => i >= 0);
    const type = settled.indexOf('type');
    if (functions.length > 1) settled[functions[0]!] = 'name';
    else if (type >= 0 && !rows.slice(0, 20).some((r) => isTypeCode(r.cells[type] ?? ''))) settled[type] = 'name';
    else if (functions.length === 1 && share(functions[0]!, (c) => !/\s/.test(c)) > 0.5) settled[functions[0]!] = 'name';
  }
  // Whatever is written over it, the column of single words that are no numbers beside numbers is the name.
  if (!has('name') && has('number')) {
    const names = headings.findIndex(
      (_, i) =>
        settled[i] === undefined &&
        !isNumbers(i) &&
        share(i, (c) => /^\S*[A-Za-z]\S*$/.test(c)) >= 0.8 &&
        share(i, isTypeCode) < 0.5 &&
        new Set(rows.map((r) => r.cells[i])).size > 0.4 * rows.length,
    );
    if (names >= 0) settled[names] = 'name';
  }
  // A `Buffer type` beside a column of codes that is called something else: the codes are the type.
  const typeAt = settled.indexOf('type');
  const areCodes = (c: string) => c.split('\n').every((line) => isTypeCode(line) && /[A-Z]/i.test(line) && !/^n\.?\/?a\.?$/i.test(line));
  const areTypes = (c: string) => areCodes(c) || isTypePhrase(c);
  if (typeAt >= 0 && ticks.length === 0) {
    const own = share(typeAt, areTypes);
    const codes = headings.findIndex(
      (_, i) =>
        i !== typeAt &&
        ['description', 'ignore', 'type', undefined].includes(settled[i]) &&
        share(i, areTypes) >= 0.8 &&
        (share(i, areTypes) > 1.5 * own || (settled[i] === 'type' && OF_CELL.test(headings[typeAt]!) && !OF_CELL.test(headings[i]!))) &&
        // A cross in some rows is a mark, whatever it could stand for.
        share(i, (c) => c.length === 1 && /x/i.test(c)) < 1,
    );
    if (codes >= 0) [settled[typeAt], settled[codes]] = ['ignore', 'type'];
  }
  // A `Category` of codes is the type where nothing else is.
  const isCategory = (role: ColumnRole | undefined, i: number) => role === 'group' && /category/i.test(headings[i]!);
  const coded = has('type') ? -1 : settled.findIndex((role, i) => isCategory(role, i) && share(i, (c) => /^[-–—]$/.test(c) || areTypes(c)) >= 0.8); // prettier-ignore
  if (coded >= 0) settled[coded] = 'type';
  // `Function | Description`, where the functions are a few kinds of terminals: they are the type.
  if (!has('type') && settled.filter((r) => r === 'description').length > 1) {
    const isKinds = (i: number) =>
      share(i, (c) => isTypePhrase(typeInOneLine(c))) >= 0.9 &&
      new Set(rows.map((r) => r.cells[i]?.trim().toLowerCase())).size <= Math.max(3, rows.length / 2);
    const kinds = settled.findIndex((r, i) => r === 'description' && isKinds(i));
    if (kinds >= 0) settled[kinds] = 'type';
  }
  // `Power`: what holds nothing but names of supplies that are terminals themselves says which of them each is at.
  if (!has('rail') && has('name')) {
    const names = new Set(filledCells(rows, settled.indexOf('name')));
    const isRail = (c: string) => /^[-–—]$/.test(c) || (names.has(c) && /^[A-Z]*_?V/i.test(c));
    const rails = headings.findIndex((_, i) => settled[i] === undefined && roles[i] === undefined && share(i, isRail) === 1);
    if (rails >= 0 && new Set(filledCells(rows, rails)).size < filledCells(rows, rails).length) settled[rails] = 'rail';
  }
  // Texts under a heading that nobody knows say what the terminals are all the same.
  if (!has('description')) {
    const isOpen = (i: number) => settled[i] === undefined && roles[i] === undefined && !OF_ELSE.test(headings[i]!);
    const inSentences = headings.findIndex((_, i) => isOpen(i) && share(i, (c) => /\S\s+\S+\s+\S/.test(c)) >= 0.6);
    // Shorter ones are words too; what stands last most often speaks of the whole terminal.
    const inWords = headings.findLastIndex((_, i) => isOpen(i) && share(i, (c) => /^[A-Za-z][\w-]*[a-z] \S*[a-z]/.test(c)) >= 0.5);
    const texts = inSentences >= 0 ? inSentences : inWords;
    if (texts >= 0) settled[texts] = 'description';
  }
  if (!has('number')) {
    const numbers = headings.findIndex((_, i) => settled[i] === undefined && isNumbers(i));
    if (numbers >= 0) settled[numbers] = 'number';
  }
  // Packages by their maker's code, `D` and `RSE`: columns of numbers that nothing else is said of.
  headings.forEach((h, i) => {
    const code = h.trim().split(/\s+/).pop() ?? '';
    if (
      settled[i] !== undefined ||
      roles[i] !== undefined ||
      isPeripheral(h) ||
      !/^[A-Z]{1,5}(?:\d{0,3}|\d{4,5}[A-Z]?)$/.test(code) ||
      !has('number') ||
      !isNumbers(i)
    )
      return;
    const cells = rows.map((r) => r.cells[i]?.trim() ?? '').filter((c) => looksLikeNumbers(c));
    if (new Set(cells).size >= 0.9 * cells.length) settled[i] = 'number';
  });
  const names = settled.filter((r) => r === 'name').length;
  // `GPIO` in most rows is a kind of terminal, and no name of each.
  const areKinds = (i: number) => filledCells(rows, i).length >= MANY_ROWS && !areMostlyUnlike(rows, i);
  let seenName = false;
  // `PA` stands over several ports, and `PA0: GPIO` in the words of each: that is its name.
  const [portsAt, wordsAt] = [settled.indexOf('name'), settled.indexOf('description')];
  if (names === 1 && wordsAt >= 0 && !has('group') && rows.length > 3 && !areMostlyUnlike(rows, portsAt)) {
    const named = filledCells(rows, wordsAt).flatMap((c) => NAMED_WORDS.exec(c)?.[1] ?? []);
    if (named.length >= 0.9 * rows.length && new Set(named).size === named.length) [settled[portsAt], settled[wordsAt]] = ['group', 'name'];
  }
  const whole = settled.map((role) => role ?? 'ignore');
  const ofVersions = withVersions(versions, whole);
  return headings.map((heading, i) => {
    let role = ofVersions[i]!;
    if (role === 'name' && names > 1) {
      // Of two names the second is the function in words, or else another name.
      role = !seenName ? 'name' : share(i, (c) => /\s/.test(c)) > 0.3 || areKinds(i) ? 'description' : 'alternates';
      seenName = true;
    }
    return { role, heading: heading.trim(), packageName: role === 'number' ? packageOfHeading(heading) : '' };
  });
}
