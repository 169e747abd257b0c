import { findChannels, type Channels } from './channels';
import { WHOLE_PART } from './model';
import type { FrozenPart, Part } from './part';
import type { Pin } from './pin';

/**
 * A model is bound in the whole part (`*`), in a unit by its id, or, where a unit has several equal channels, in each
 * channel by its index: `*1`.
 */
export const channelKey = (index: string): string => `${WHOLE_PART}${index}`;

/** True where a key is of a channel. */
export const isChannelKey = (key: string): boolean => key !== WHOLE_PART && key.startsWith(WHOLE_PART);

const CHANNEL = 'channel ';

/** The equal channels of a part of which a unit has more than one; undefined where each has a unit of its own. */
export function channelsInUnits(part: Pick<Part, 'pins' | 'units'>): Channels | undefined {
  const channels = part.units.length === 0 ? undefined : findChannels(part.pins);
  const isShared = part.units.some(({ binding }) => {
    const own = new Set(Object.values(binding));
    return (channels?.members.filter((m) => [...m.values()].some((p) => own.has(p.id))).length ?? 0) > 1;
  });
  return isShared ? channels : undefined;
}

/** The pins of the channel that a key is of, with those that are of none; undefined where the key is of no channel. */
export function pinsOfChannel(part: Pick<Part, 'pins' | 'units'>, key: string): Pin[] | undefined {
  const channels = isChannelKey(key) ? channelsInUnits(part) : undefined;
  const at = channels?.indices.findIndex((index) => channelKey(index) === key) ?? -1;
  if (!channels || at < 0) return undefined;
  const others = new Set(channels.members.flatMap((m, i) => (i === at ? [] : [...m.values()].map((p) => p.id))));
  return part.pins.filter((p) => !others.has(p.id));
}

/** What a key is called in lists and records: nothing for the whole part, `A` for a unit, `channel 1`. */
export function boundLabel(part: Pick<FrozenPart, 'units'>, key: string): string {
  if (key === WHOLE_PART) return '';
  if (isChannelKey(key)) return `${CHANNEL}${key.slice(WHOLE_PART.length)}`;
  return part.units.find((u) => u.id === key)?.label ?? key;
}

/** The same in a sentence: nothing, `unit A`, `channel 1`. */
export const sayBound = (label: string): string => (label === '' || label.startsWith(CHANNEL) ? label : `unit ${label}`);

/** The same where only a few letters have room, as in a name of an instance. */
export const shortBound = (label: string): string => (label.startsWith(CHANNEL) ? label.slice(CHANNEL.length) : label);
