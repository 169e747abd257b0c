import { carriesPower, type Pin } from '../part';
import type { PinGroup } from './groups';

export const isIdle = (p: Pin): boolean => p.type === 'no-connect' || p.type === 'reserved';

const KINDS: [kind: string, title: RegExp][] = [
  ['bank', /\bbank\b/i],
  ['system', /\b(clock|control|debug|config\w*|cfg|reset|boot|jtag|test|system|crystal)\b/i],
  ['serial', /\b(serial|spi\d*|i2c\d*|i²c|uart\d*|usb\d*|can\d*|host)\b/i],
  ['memory', /\b(memory|ddr\d*|dram|flash|address|data bus)\b/i],
];

/** What sort of thing a group is: groups of one sort read well in one unit. Others go by the letters of their title. */
export function kindOf({ title }: PinGroup): string {
  const known = KINDS.find(([, words]) => words.test(title));
  return known?.[0] ?? title.toLowerCase().replace(/[\d\s_]+.*$/, '');
}

/**
 * Which of the power pins stay with a group of signals: the rails that no other group has, as a bank has its own. Given
 * by pin id.
 */
export function ownRails(pins: readonly Pin[]): Set<string> {
  const groups = new Map<string, { signals: number; power: Pin[] }>();
  const homes = new Map<string, Set<string>>();
  for (const pin of pins) {
    const home = pin.group ?? '';
    const entry = groups.get(home) ?? { signals: 0, power: [] };
    groups.set(home, entry);
    if (carriesPower(pin.type)) {
      entry.power.push(pin);
      const name = pin.drawnName ?? pin.name;
      homes.set(name, (homes.get(name) ?? new Set()).add(home));
    } else if (!isIdle(pin)) entry.signals++;
  }
  const own = [...groups].filter(([title, g]) => title !== '' && g.signals >= 2 && g.power.length <= g.signals);
  return new Set(own.flatMap(([, g]) => g.power.filter((p) => homes.get(p.drawnName ?? p.name)!.size === 1).map((p) => p.id)));
}
