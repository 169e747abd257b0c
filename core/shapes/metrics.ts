/**
 * Advance of every glyph of Atkinson Hyperlegible Mono, as a share of the em. The face is monospaced, which makes text
 * widths exact here, without a screen.
 */
export const ADVANCE = 0.632;

/** The width of a text set at `size` (hundredths of a step), in hundredths of a step. Combining marks have no width. */
export const textWidth = (text: string, size: number): number => [...text.replace(/\p{M}/gu, '')].length * ADVANCE * size;
