import type { Wording } from './wording';

/** What an input does to the part it belongs to. */
const DOES =
  'enables|disables|selects|chooses|picks|starts|stops|begins|halts|shuts (?:off|down)|turns (?:on|off)|commands|frames|latches|loads|clears|resets|restarts|mutes|blanks|wakes|aligns|swaps|initiates|inverts|reverses|tunes|adjusts|defines|decides|forces';
/** Devices beside the part: what acts on these comes out of it. */
const BESIDE =
  /\b(transceiver|receiver|external|cards?|hosts?|lamp|loads?|relay|displays?|panel|converter'?s|memory|slaves?|peripherals?|next|other (chips?|devices?|parts?)|several|processor|register)\b/i;
const DRAIN = /\bopen[- ](drain|collector)\b|\bpush-?pull\b/i;

/** What a terminal does, or when it does so, in texts without a noun that says what it is. */
export const ACTING_WORDINGS: readonly Wording[] = [
  {
    type: 'input',
    weight: 4.6,
    words: new RegExp(`^\\W*(?:${DOES}) (?!(?:at|when|while|if|after)\\b)`, 'i'),
    unless: new RegExp(
      `${BESIDE.source}|${DRAIN.source}|\\b(outputs?|resistor|capacitor|inductor|interrupt|request)\\b|\\d ?[kM]?(Ω|ohm)`,
      'i',
    ),
  },
  // `Standby when high`, `both drivers are off while this is low`
  {
    type: 'input',
    weight: 4.6,
    words: /\b(when|while|if) (this (pin )?is |it is |driven |pulled |held |tied )?(logic |set )?(high|low|open)\W*$/i,
    unless: new RegExp(
      `${DRAIN.source}|\\b(in regulation|good|ready|valid|locked|fault|found|detected|reached|done|complete|present|busy|full|empty|indicat\\w+|reports?|status|tells|shows|outputs? (high|low))\\b|\\b(goes|driven|pulls?|is pulled|floats|released) `,
      'i',
    ),
  },
  // `High while a conversion runs`, `pulses once a turn`
  {
    type: 'output',
    weight: 4.5,
    words:
      /^\W*(stays |goes |is |remains )?(high|low) (while|until|from the|as soon as|whenever|once)\b|^\W*(pulses|toggles|rises|falls) (at|for|on|once|when|while|with|after|each|every|high|low)\b|^\W*(tells|reports|shows|signals|indicates) (that|when|whether|the|an?|if)\b/i,
    unless: /\bopen[- ](drain|collector)\b|\bpull-?up\b|\binputs?\b|\bto (enable|select|start|disable|reset)\b/i,
  },
  // What follows the load, the light or the temperature is made by the part.
  {
    type: 'output',
    weight: 5,
    words: /^[^.;]{0,60}\b(in proportion|proportional) to\b/i,
    unless: /\binputs?\b|\b(set|sets|resistor|capacitor|must|applied?|controls?)\b/i,
  },
  {
    type: 'output',
    weight: 4.5,
    words: /^\W*(to (the )?)?gate of (the|an?) (?!part|chip|device|internal)/i,
    unless: /\b(input|sens\w+|return|resistor)\b/i,
  },
  // A resistor's value and no more.
  {
    type: 'passive',
    weight: 5,
    words: /^([^.;]{0,40}[;,.] )?\d[\d.]* ?[kM]?(Ω|ohms?)( \d ?%)?( (to|from here to) ([ADP]?GND|VSS|ground))?\W*$/i,
    unless: /\b(port|impedance|input|output|antenna|internal|pull|terminat|single-ended|line)/i,
  },
  { type: 'passive', weight: 7, words: /^\W*flying node\b/i },
];
