import { goesOut, groupBy, isFlank, stemOf, type HouseRules, type Mark, type Pin, type Side, type SideRole } from '../part';
import { interfaceOf } from '../intake/understand/signals';
import { sidesByKind } from './own-sides';
import { cutBetweenStems, type PinGroup } from './groups';

/** A place that a person chose: it stays. */
export type Fixed = ReadonlyMap<string, { side: Side; at: number }>;

/** The node that a bridge drives, the capacitor of its bootstrap, and what a rectifier gives: they stand with the outputs. */
const OF_BRIDGE = /\bboot-?strap|\b(switch(ing)?|(half-?)?bridge|phase) node\b|^\W*DC (output|positive|negative|plus|minus)\b/i;

export function roleOf(pin: Pin): SideRole {
  switch (pin.type) {
    case 'supply-in':
      return 'supply';
    case 'input':
      return interfaceOf(pin) === 'Control' ? 'control' : 'input';
    case 'passive':
      return OF_BRIDGE.test(pin.description ?? '') ? 'output' : 'passive';
    case 'ground':
    case 'bidirectional':
      return pin.type;
    default:
      return goesOut(pin.type) ? 'output' : 'other';
  }
}

/** Names over the lines and numbers under them need two steps from line to line. */
export const legible = (rules: HouseRules): HouseRules => (rules.names === 'over' && rules.pitch < 2 ? { ...rules, pitch: 2 } : rules);

/** Pins of a group and a role; `at` is its place in the order of all blocks. */
type Block = { group: PinGroup; pins: Pin[]; role: SideRole; at: number };

/**
 * Gives every pin of a unit a side and an order. Groups stay in blocks; a group of mixed directions that is an
 * interface stays whole; supplies stand above and grounds below the signals of their side; sides are evened out by
 * moving whole blocks that have no side of their own by direction.
 */
export function sideBlocks(groups: readonly PinGroup[], rules: HouseRules): Record<Side, Pin[][]> {
  const sides: Record<Side, Block[]> = { left: [], right: [], top: [], base: [] };
  const powerOnly = groups.every((g) => g.power || g.title === 'Not used');
  const byKind = sidesByKind(groups);
  for (const [at, block] of groups.flatMap((group) => blocksOf(group, rules)).entries()) {
    const usual: Side = powerOnly ? (block.role === 'ground' ? 'right' : 'left') : rules.sides[block.role];
    // What a house has above or below stays there.
    const own = (p: Pin): Side => (isFlank(usual) ? (byKind.get(p.id) ?? usual) : usual);
    for (const [side, pins] of groupBy(block.pins, own)) sides[side].push({ ...block, pins, at });
  }
  even(sides, powerOnly, (b) => b.pins.some((p) => byKind.has(p.id)));
  const weight = (b: Block) => (b.role === 'supply' ? 0 : b.role === 'ground' ? 2 : b.group.title === 'Not used' ? 3 : 1);
  const ordered = (blocks: Block[]) => joined([...blocks].sort((x, y) => weight(x) - weight(y) || x.at - y.at));
  return { left: ordered(sides.left), right: ordered(sides.right), top: ordered(sides.top), base: ordered(sides.base) };
}

/** The pins between gaps: what follows in one group, or a single pin on its like in another, has none between. */
function joined(blocks: readonly Block[]): Pin[][] {
  const isLone = (b: Block) => b.pins.length === 1;
  // FB1 of the first converter and FB2 of the second.
  const areTwins = (a: Block, b: Block) => (a.group.power && b.group.power) || stemOf(a.pins[0]!.name) === stemOf(b.pins[0]!.name);
  const goesOn = (a: Block, b: Block) =>
    a.group === b.group
      ? a.role === b.role || !(isPower(a.role) || isPower(b.role))
      : isLone(a) && isLone(b) && a.role === b.role && areTwins(a, b);
  return blocks.reduce<Pin[][]>((runs, block, i) => {
    const before = blocks[i - 1];
    if (before && goesOn(before, block)) runs.at(-1)!.push(...block.pins);
    else runs.push([...block.pins]);
    return runs;
  }, []);
}

const isPower = (role: SideRole): boolean => role === 'supply' || role === 'ground';

const INTERFACE =
  /serial|interface|port|bus|spi|i[2²][cs]|uart|usb|jtag|debug|memory|bank|control|clock|reference|audio|ethernet|mii|sdio|\bcan\b/i;

/** An interface by its title, or by its signals: HOST_SCK and HOST_MISO are of a serial port, whatever it is called. */
function isInterface({ title, pins }: PinGroup): boolean {
  if (isChain(pins)) return false;
  if (INTERFACE.test(title)) return true;
  const signals = pins.map((p) => interfaceOf(p.name.startsWith(`${title}_`) ? { ...p, name: p.name.slice(title.length + 1) } : p));
  return signals.filter((s) => s === 'Serial port' || s === 'Debug').length > 1;
}

/** Data in and data out without a clock, of a chain of equal parts: it goes through, from left to right. */
const isChain = (pins: readonly Pin[]): boolean =>
  pins.length > 1 &&
  pins.some((p) => p.type === 'input') &&
  pins.some((p) => goesOut(p.type)) &&
  pins.every((p) => /^(?:[A-Z]{0,2}D(?:ATA)?_?(?:IN|I)|SDI|[A-Z]{0,2}D(?:ATA)?_?(?:OUT|O)|SDO)\d*$/i.test(p.name));

/** A port that is called by its direction is on that side with all that belongs to it: the data channel of a video input. */
const wayOf = ({ title }: PinGroup): SideRole | undefined =>
  /^(IN|INPUT|SINK|RX|UP)_?\d*$/i.test(title)
    ? 'input'
    : /^(OUT|OUTPUT|SOURCE|TX)_?\d*$|^Secondary winding\b/i.test(title)
      ? 'output'
      : undefined;

/** A group as blocks of one role each, unless it is an interface, which reads better in one piece. */
function blocksOf(group: PinGroup, rules: HouseRules): Omit<Block, 'at'>[] {
  // Controls are a block of their own only where the house has another side for them than for inputs.
  const sided = (pin: Pin): SideRole => {
    const role = roleOf(pin);
    return role === 'control' && rules.sides.control === rules.sides.input ? 'input' : role;
  };
  const byRole = groupBy(group.pins, sided);
  const roles = [...byRole.keys()];
  const signals: SideRole[] = roles.filter((r) => !isPower(r));
  if (signals.length > 1 && (isInterface(group) || signals.includes('bidirectional'))) {
    const whole = group.pins.filter((p) => signals.includes(sided(p)));
    const role: SideRole = whole.every((p) => ['input', 'control', 'passive'].includes(roleOf(p)))
      ? 'input'
      : (wayOf(group) ?? 'bidirectional');
    const power = roles.filter((r) => !signals.includes(r)).map((r) => ({ group, pins: byRole.get(r)!, role: r }));
    return [{ group, pins: whole, role }, ...power];
  }
  return roles.map((role) => ({ group, pins: byRole.get(role)!, role: role === 'passive' ? (wayOf(group) ?? role) : role }));
}

const FREE: SideRole[] = ['bidirectional', 'passive', 'other'];
const count = (blocks: Block[]): number => blocks.reduce((n, b) => n + b.pins.length + 1, 0);

/** A group of so many pins is small. */
const SMALL = 12;

/** Sides that differ by no more places than these are even: a block is not cut for less. */
const EVEN = 8;

/** `stays` tells blocks that have their side by what they are. */
function even(sides: Record<Side, Block[]>, any: boolean, stays: (block: Block) => boolean): void {
  for (let turn = 0; turn < 200; turn++) {
    const [heavy, light] = count(sides.left) > count(sides.right) ? [sides.left, sides.right] : [sides.right, sides.left];
    const excess = count(heavy) - count(light);
    if (excess <= EVEN) return;
    // What shares its group with others of the side stays with them.
    const mates = groupBy(heavy, (b) => b.group.title);
    const movable = heavy.filter((b) => !stays(b) && (any || (FREE.includes(b.role) && mates.get(b.group.title)!.length === 1)));
    // A drawing is read from the left: the first rails, and the first pins of a block that is cut, stand there.
    const isRight = heavy === sides.right;
    const inTurn = (a: Block, b: Block) => (isRight || !any ? a.at - b.at : b.at - a.at);
    const whole = movable
      .filter((b) => (b.pins.length + 1) * 2 - excess <= EVEN)
      .sort((a, b) => b.pins.length - a.pins.length || inTurn(a, b))[0];
    if (whole) {
      heavy.splice(heavy.indexOf(whole), 1);
      light.push(whole);
      continue;
    }
    const long = movable.sort((a, b) => b.pins.length - a.pins.length)[0];
    // A last step of half a pair would be taken back by the next turn, and so on for ever.
    if (!long || long.pins.length < 8 || excess <= 10) return;
    // One of several small groups stays whole where it is larger than what the sides differ by.
    if (long.pins.length <= SMALL && excess <= long.pins.length + 1 && movable.length > 1) return;
    // The block that is cut off stands behind a gap of its own.
    const half = Math.min(long.pins.length - 1, Math.ceil((excess - 1) / 2));
    const cut = cutBetweenStems(long.pins, isRight ? half : long.pins.length - half);
    const [first, rest] = [long.pins.slice(0, cut), long.pins.slice(cut)];
    heavy[heavy.indexOf(long)] = { ...long, pins: isRight ? rest : first };
    light.push({ ...long, pins: isRight ? first : rest });
  }
}

/** Rows that the blocks of a side need, with a gap between blocks. */
export const rowsOf = (blocks: readonly Pin[][], rules: HouseRules): number =>
  blocks.length === 0
    ? 0
    : blocks.reduce((n, b) => n + b.length, 0) * rules.pitch + (blocks.length - 1) * rules.groupGap - (rules.pitch - 1);

const CLOCK = /^\d?(CLK|CLOCK|SCLK|SCK|SCL|TCK|SWCLK|MCLK|BCLK|[A-Z]+_?CLK|CLKIN|CK)\d*$/i;

/** Qualifying symbols that a pin's type, sense and description call for (IEC 60617-12). */
export function marksOf(pin: Pin): Mark[] {
  const marks: Mark[] = [];
  if (pin.activeLow) marks.push('negation');
  if (pin.type === 'input' && CLOCK.test(pin.name)) marks.push('clock');
  if (pin.type === 'input' && /schmitt|hysteresis/i.test(pin.description ?? '')) marks.push('hysteresis');
  if (pin.type === 'open-drain' || pin.type === 'open-source' || pin.type === 'three-state') marks.push(pin.type);
  return marks;
}
