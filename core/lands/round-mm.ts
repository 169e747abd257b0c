/** A length to hundred-thousandths of a millimetre, finer than any board is made; never minus zero. */
export const roundMm = (mm: number): number => Math.round(mm * 1e5) / 1e5 + 0;
