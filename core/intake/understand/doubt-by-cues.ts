import type { Doubt, ElectricalType } from '../../part';
import { CUES } from './cues';
import { headlineOf } from './headline';

/** What is set by a part, and what is bypassed as supplies are. */
const SETTING =
  /\b(set|sets|setting|program\w*|adjust\w*|timer|timing|limit\w*|bypass\w*|decoupl\w*|compensation|bandwidth|range|inductor|coil|crystal|winding)\b/i;

/**
 * The doubt that a conclusion without one gets from what it leaves out; undefined where nothing speaks against it. `by` says
 * what the type column says outright, and whether words say the conclusion outright.
 */
export function doubtByCues(
  type: ElectricalType,
  name: string,
  description: string,
  by: { column: ElectricalType | undefined; words: boolean },
): Doubt | undefined {
  // Parts that hang on what is called an input or an output do not make it less of one, unless they set something.
  const isCalled = headlineOf(description) === type && !SETTING.test(description);
  for (const cue of CUES) {
    if (!cue.against.includes(type) || cue.unless?.test(description)) continue;
    if (isCalled && (cue.type === 'passive' || cue.type === 'reserved')) continue;
    const word = cue.words?.exec(description)?.[0];
    if (cue.words && word === undefined) continue;
    if (cue.name && !cue.name.test(name)) continue;
    if (cue.column && !(by.column && cue.column.includes(by.column))) continue;
    // A column's own word is not put in doubt by a name alone.
    if (by.column && !cue.words && !cue.alone) continue;
    if (cue.weak && by.column && by.words) continue;
    const shown = word === undefined ? `name ${name}` : `“${word}”`;
    return {
      field: 'type',
      reason: `Taken for ${type}, but ${shown} is often said of ${cue.type} terminals.`,
      candidates: [...new Set([type, cue.type, 'passive' as const])].slice(0, 4),
    };
  }
  return undefined;
}
