import { compareNatural, compareTerminals, groupBy, type Pin } from '../../core/part';
import { cellText, type ColumnId } from './ledger-columns';

export type LedgerRow = { kind: 'group'; title: string; count: number; folded: boolean } | { kind: 'pin'; pin: Pin };

export interface Sort {
  column: ColumnId;
  down: boolean;
}

/** Pins under their groups, or in one list when sorted; folded groups keep only their heading. */
export function ledgerRows(
  pins: readonly Pin[],
  packageId: string | undefined,
  filter: string,
  folded: readonly string[],
  sort: Sort | null,
): LedgerRow[] {
  const words = filter.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = words.length === 0 ? pins : pins.filter((p) => words.every((w) => haystack(p, packageId).includes(w)));
  if (sort) return sorted(shown, packageId, sort).map((pin) => ({ kind: 'pin', pin }));
  const groups = groupBy(shown, (pin) => pin.group ?? '');
  if (groups.size <= 1 && groups.has('')) return shown.map((pin) => ({ kind: 'pin', pin }));
  return [...groups].flatMap(([title, members]): LedgerRow[] => {
    const isFolded = folded.includes(title);
    return [
      { kind: 'group', title, count: members.length, folded: isFolded },
      ...(isFolded ? [] : members.map((pin): LedgerRow => ({ kind: 'pin', pin }))),
    ];
  });
}

function haystack(p: Pin, packageId: string | undefined): string {
  return [
    p.name,
    p.type,
    p.description,
    p.group,
    ...(p.alternates ?? []),
    cellText('number', p, packageId),
    p.doubts.length > 0 ? 'doubt' : '',
  ]
    .join(' ')
    .toLowerCase();
}

function sorted(pins: readonly Pin[], packageId: string | undefined, { column, down }: Sort): Pin[] {
  const compare = column === 'number' ? compareTerminals : compareNatural;
  const out = [...pins].sort((a, b) => compare(cellText(column, a, packageId), cellText(column, b, packageId)));
  return down ? out.reverse() : out;
}
