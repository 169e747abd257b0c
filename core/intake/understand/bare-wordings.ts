import type { Wording } from './wording';

/** What a suppressor keeps from harm. */
export const PROTECTED = /^\W*((esd|surge|transient)[- ])?(protected|protection) (channel|line|i\/?o|node)( \d{1,2})?\W*$/i;

/** Bare words that are said of one kind of terminal only, with nothing else beside them. */
export const BARE_WORDINGS: readonly Wording[] = [
  // The ends of a part of one transistor, of a thyristor or of a bridge have no direction, whatever stands before the word.
  { type: 'passive', weight: 8, words: /^\W*main terminal [12]\b|^\W*alternating (input|current|voltage)\b/i },
  { type: 'passive', weight: 8, words: PROTECTED },
  {
    type: 'passive',
    weight: 8,
    words: /^\W*((output|input|detector|photo-?)?(transistor)?('s)? )?(collector|emitter)( (terminal|connection|pin))?\W*$/i,
  },
  {
    type: 'passive',
    weight: 5.5,
    words:
      /^\W*(emitter|collector|source|drain|anode|cathode)( ([12ab]|lead|terminal|connection|of (the )?(transistor|diode|internal switch|led|[mqd](?=\d))( ?\d)?))\W*$/i,
  },
  { type: 'input', weight: 5.5, words: /^\W*gate ([12]|lead|terminal|connection|of (transistor|[mq](?=\d)) ?\d)\W*$/i },
  {
    type: 'passive',
    weight: 5.5,
    words:
      /^\W*(offset (null|adjust|trim)( \d)?|(noise|reference) bypass|oscillator timing|timing network|boot-?strap(,? (\+|-|positive|negative)( half)?))\W*$/i,
  },
  {
    type: 'input',
    weight: 5.5,
    words:
      /^\W*((standby|sleep|mute|direction|latch|brightness|dimming)( mode)?( (control|select))?(, active (low|high))?|conversion start|start of conversion|convert start|load dac( registers)?|dac update|tuning voltage|local oscillator|zero[- ]current detect(ion)?|((positive|negative) )?thermocouple( (lead|positive|negative|[+-]))?)\W*$/i,
  },
  {
    type: 'output',
    weight: 5.5,
    words:
      /^\W*(((top|bottom|upper|lower|high[- ]side|low[- ]side) )?gate driver?( output)?|(load )?current monitor|temperature monitor)\W*$/i,
  },
  // Of a flip-flop or a counter; nothing tells by `clear` that it is clear.
  {
    type: 'input',
    weight: 6,
    words: /^\W*((a?synchronous|direct|master|counter|register) )*(clear|preset)( (input|of [^.;,]{1,30}))?(, active[- ](low|high))?\W*$/i,
    unless: /\boutput\b/i,
  },
  {
    type: 'passive',
    weight: 7,
    words: /^\W*((digital )?potentiometer|rheostat|resistor (string|network|ladder)) (terminal|end)( [a-z0-9]{1,2})?\W*$/i,
  },
  { type: 'bidirectional', weight: 5.5, words: /^\W*bus (pin|line|terminal)( [ab])?\W*$/i },
  { type: 'passive', weight: 7, words: /^\W*(kelvin source|source sense|driver source)\b/i },
  { type: 'passive', weight: 7, words: /^\W*(power-on )?(reset )?delay( (time|capacitor|setting|adjust(ment)?))?\W*$/i },
  { type: 'input', weight: 6, words: /\bdata to (be )?(transmit(ted)?|sen[dt])\b/i },
];
