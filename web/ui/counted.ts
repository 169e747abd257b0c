/** A number with its noun: `1 pin`, `2 pins`; `many` for nouns whose plural is no mere s. */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
