// How rows are printed: number lists and ranges, bus ranges, codes.

/** `5, 12, 31` or `10–13` where the numbers follow each other. */
export function printNumbers(numbers, { ranges = true, dash = '–', comma = ', ' } = {}) {
  const runs = [];
  for (const n of numbers) {
    const last = runs.at(-1);
    if (last && /^\d+$/.test(n) && Number(n) === Number(last.at(-1)) + 1) last.push(n);
    else runs.push([n]);
  }
  return runs.map((r) => (ranges && r.length > 2 ? `${r[0]}${dash}${r.at(-1)}` : r.join(comma))).join(comma);
}

/** `D0–D7`, `D[7:0]` or `D0, D1`. */
export function printNames(name, { bus = 'dash' } = {}) {
  if (!Array.isArray(name)) return name;
  const parts = name.map((n) => /^(.*?)(\d+)$/.exec(n));
  if (parts.some((p) => !p) || bus === 'list') return name.join(', ');
  const [first, last] = [parts[0], parts.at(-1)];
  if (bus === 'brackets') return `${first[1]}[${first[2]}:${last[2]}]`;
  return `${first[0]}${bus === 'to' ? ' to ' : '–'}${last[0]}`;
}

/** The table as heads and printed rows. Group rows have one cell. `low(name)` prints a low-active name. */
export function printTable(
  part,
  { columns, heads, packages = part.packages, print = {}, codes = (c) => c, groups = true, low = (n) => n },
) {
  const rows = part.rows.flatMap((r) => {
    if (r.n === undefined) return groups ? [{ group: r.group }] : [];
    const of = (p) => (Array.isArray(r.n) ? r.n : (r.n[p] ?? []));
    const cell = {
      number: () => printNumbers(of(packages[0]), print) || '–',
      name: () => (r.low ? low(printNames(r.name, print)) : printNames(r.name, print)),
      type: () => codes(r.code, r),
      description: () => r.d,
    };
    const cells = columns.flatMap((c) => (c === 'numbers' ? packages.map((p) => printNumbers(of(p), print) || '–') : [cell[c]()]));
    return [{ cells, low: r.low }];
  });
  return { heads, rows };
}
