import { compareTerminals, placesOf, terminalsAt, type Part } from '../part';

/** A CSV cell by RFC 4180; a cell that a spreadsheet would take for a formula is given a leading apostrophe. */
export function csvCell(text: string): string {
  const safe = /^[=@\t\r]/.test(text) || /^[+-](?![\d.\s]|$)[A-Za-z(]/.test(text) ? `'${text}` : text;
  return /[",\r\n]/.test(safe) ? `"${safe.replace(/"/g, '""')}"` : safe;
}

export const csvRow = (cells: readonly string[]): string => `${cells.map(csvCell).join(',')}\r\n`;

/**
 * The pin list as CSV (RFC 4180): one row per terminal of each package, then the pins without a number. Columns:
 * package, number, name, active low, type, group, unit, side, description, alternates.
 */
export function writePinCsv(part: Part): string {
  const places = placesOf(part);
  const rows = part.packages.flatMap((pkg) =>
    terminalsAt(part.pins, pkg.id)
      .map(({ pad, terminal }) => ({ pkg: pkg.name, number: pad, pin: terminal }))
      .sort((a, b) => compareTerminals(a.number, b.number)),
  );
  const unnumbered = part.pins
    .filter((p) => Object.values(p.pads).every((n) => n.length === 0))
    .map((pin) => ({ pkg: '', number: '', pin }));
  const head = csvRow(['package', 'number', 'name', 'active low', 'type', 'group', 'unit', 'side', 'description', 'alternates']);
  const body = [...rows, ...unnumbered].map(({ pkg, number, pin }) => {
    const drawn = places.get(pin.id) ?? [];
    const [unit, side] = [drawn.map((d) => d.unit.label).join(' '), drawn[0]?.port.side ?? ''];
    return csvRow([
      pkg,
      number,
      pin.name,
      pin.activeLow ? 'yes' : '',
      pin.type,
      pin.group ?? '',
      unit,
      side,
      pin.description ?? '',
      (pin.alternates ?? []).join(' '),
    ]);
  });
  return head + body.join('');
}
