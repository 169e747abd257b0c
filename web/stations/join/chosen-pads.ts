/** The places in the land of the pads that are changed by hand; undefined while none are. */
export type ChosenPads = readonly number[] | undefined;

/** The chosen places with others, or without them where all of these are chosen already. */
export const toggled = (chosen: readonly number[], at: readonly number[]): number[] =>
  at.every((i) => chosen.includes(i)) ? chosen.filter((i) => !at.includes(i)) : [...chosen, ...at];
