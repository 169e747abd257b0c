/** Functions behind or before which a capital N or B is the mark, and no part of the word. */
const STEM = 'CS|SS|CE|OE|RE?SE?T|TRST|IRQ|INT|MR|SHDN|FAULT|SLEEP';

const MARK = new RegExp(`^[/!~\\\\]|[#*]$|_[BLN]\\d*$|^n_?[A-Z]|[A-Z0-9]n\\d*$|^N(${STEM})\\d*$|(${STEM})[BN]\\d*$`);
/** `CS_n`, `reset_b`. */
const SMALL = /_[bln]\d*$/;

/**
 * True where the name of a terminal that is low-active carries a mark for it of its own: `/RD`, `CS#`, `RESET_N`, `CS_n`,
 * `nWAIT`, `RSTN`, `OEB`, or of one of its functions: `RAS_n/A16`. An overbar over it would say it twice, and is not what the datasheet prints.
 */
export const saysLow = (name: string): boolean =>
  [name, ...name.split('/').filter((part) => part !== '')].some((part) => MARK.test(part) || SMALL.test(part));
