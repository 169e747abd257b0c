import type { ElectricalType } from '../../part';
import { giveType, isTypeTold, type Terminal } from '../proposal';

/** What a part can have beside it, and is seldom itself; of a part that is one its title says so. */
const THING =
  'sensors?|codecs?|flash|eeproms?|cards?|panels?|displays?|screens?|backlights?|fans?|relays?|microphones?|cameras?|transceivers?|modems?|processors?|microcontrollers?|peripherals?|slaves?|devices|memor(?:y|ies)|converters|sequencers?|drivers|modules?|(?:power|low-noise) amplifiers?|antenna switch(?:es)?';
/** Words that set a thing apart from the part. */
const APART = 'further|other|next|following|downstream|external|neighbou?ring|slave|attached|connected|subscriber|outside';

/** What mostly comes in, said of another thing: `Clock for the sensor`, `Reset of the subscriber card`. */
const OF_ANOTHER = new RegExp(
  `^\\W*(?:[\\w-]+ ){0,2}?(?:clock|reset|enable|select|power-?down|shut-?down|standby|mute|strobe|supply|pwm|control)s? (?:for|of|to) (?:the |an? |all )?(?:(?:${APART})(?: [\\w-]+){1,2}|(?:[\\w-]+ )?(${THING}))\\b`,
  'i',
);
/** What acts on another thing: `Resets the sensor`, `Selects the microphone`. */
const ACTS_ON = new RegExp(
  `^\\W*(?:re-?sets?|selects?|enables?|clocks|wakes|starts|stops|mutes|powers|(?:turns|switches) (?:on |off )?)(?: up| down)? ?(?:the |an? |all )(?:(?:${APART})(?: [\\w-]+){1,2}|(?:[\\w-]+ )?(${THING}))\\b`,
  'i',
);
/** The thing by its name before the signal: `EEPROM clock`. */
const ITS =
  /^\W*(?:[\w-]+ )?(sensor|codec|flash|eeprom|card|panel|backlight|fan|camera|pointer|mouse|keyboard|modem) (?:serial |bus |interface )?(?:clock|reset|(?:chip )?select|enable)\b/i;
/** Words for the direction of the terminal itself. */
const DIRECTION = /\b(inputs?|outputs?|i\/o|from|when|while|if|(?<!active )(?:low|high)(?!-)|by)\b/i;

const OTHER_WAY: Partial<Record<ElectricalType, ElectricalType>> = { input: 'output', unspecified: 'output', 'supply-in': 'supply-out' };

/**
 * A clock, a reset or a supply that the words give to another thing goes out of the part that has it, more often than not:
 * where it was taken for what comes in, it is asked, unless the part's title says that it is that thing.
 */
export function doubtOfAnother(terminals: readonly Terminal[], titles: readonly string[]): void {
  const title = titles.join(' ').toLowerCase();
  for (const t of terminals) {
    const other = OTHER_WAY[t.type];
    if (!other || isTypeTold(t) || t.description === undefined || DIRECTION.test(t.description)) continue;
    const said = OF_ANOTHER.exec(t.description) ?? ACTS_ON.exec(t.description) ?? ITS.exec(t.description);
    if (!said || (said[1] !== undefined && title.includes(said[1].toLowerCase().replace(/s$/, '')))) continue;
    const reason = `Taken for ${other}: “${said[0].trim()}” may speak of another part, which this one drives.`;
    giveType(t, other, `“${said[0].trim()}”`, reason);
  }
}
