/** A length to hundred-thousandths of a millimetre, finer than any board is made; never minus zero. */
export const roundMm = (mm: number): number => Math.round(mm * 1e5) / 1e5 + 0;

/** A length to hundredths of a millimetre, as datasheets and names give it. */
export const hundredthsOfMm = (mm: number): number => Math.round(mm * 100) / 100;

/** A length to tenths of a micrometre, as lands are written: what remains of binary fractions is cut off; never minus zero. */
export const landMm = (mm: number): number => Math.round(mm * 1e4) / 1e4 + 0;
