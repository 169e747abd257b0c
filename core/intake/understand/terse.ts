import type { ElectricalType } from '../../part';
import { giveType, isTypeAsked, isTypeTold, type Terminal } from '../proposal';

const DEVICE =
  '(?:host|chipset|processor|microcontroller|computer|controller|sensor|codec|flash|memory|card|panel|display|modem|next [\\w-]+)';

/** What few words most likely say of a terminal that nothing else tells: enough to ask by, and not to settle it. */
const LIKELY: readonly [words: RegExp, type: ElectricalType][] = [
  [/^(?!.*\boutput\b).*\b(lamp|indicator|buzzer|sounder|loudspeaker)( \d+)?\W*$|^\W*(lamp|buzzer)\b/i, 'output'],
  [/^(?!.*\bsupply\b).*\b(present|presence|detected|inserted)\W*$/i, 'input'],
  [/^\W*(power good|fault|failure|overload|overcurrent|status|ready) of (the|an?) |\b(regulator|supply|converter) good\W*$/i, 'input'],
  [/^\W*(voltage )?monitor(ing)? of\b/i, 'input'],
  [/\b(low|high)-side (source|emitter)\b/i, 'passive'],
  [/^\W*((fan|motor) )?(speed|pulses|revolutions)( of the (fan|motor))?\W*$/i, 'input'],
  [/^\W*((fan|motor) )?(speed|power|supply) control( of\b.*)?\W*$/i, 'output'],
  [/^\W*([\w-]+ )?(backlight|fan|pump|motor|regulator|converter) on\W*$/i, 'output'],
  [
    new RegExp(`^\\W*(?!input|connect|tie|.*\\b(?:from|open|alert)\\b)(?:[\\w-]+ ){1,4}to (?:the |an? )?(?:[\\w-]+ )?${DEVICE}\\b`, 'i'),
    'output',
  ],
  [new RegExp(`^\\W*(?!output|driven|power|suppl|.*\\bto\\b)(?:[\\w-]+ ){1,4}from (?:the |an? )?(?:[\\w-]+ )?${DEVICE}\\b`, 'i'), 'input'],
];

/** Types that are asked are asked by what the terminal's few words most likely say. */
export function suggestByFewWords(terminals: readonly Terminal[]): void {
  for (const t of terminals) {
    if (t.description === undefined || !isTypeAsked(t) || isTypeTold(t)) continue;
    const found = LIKELY.find(([words]) => words.test(t.description!));
    if (!found || found[1] === t.type) continue;
    const [words, type] = found;
    const said = words.exec(t.description)![0].trim();
    giveType(t, type, `“${said}”`, `Taken for ${type}, since it is called “${said}”; nothing else says so.`);
  }
}
