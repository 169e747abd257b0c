import { csvRow, xmlText } from '../formats';
import { padOwners, type Package, type Pad, type Part } from '../part';

const HEAD = ['number', 'x', 'y', 'w', 'h', 'shape', 'drill', 'slot'];

/** A land as CSV (RFC 4180), one pad a row, in mm with y upwards: what `readPadsCsv` reads. */
export function writePadsCsv(pads: readonly Pad[]): string {
  const row = (p: Pad) => csvRow([p.number, ...[p.x, p.y, p.w, p.h].map(String), p.shape, String(p.drill ?? ''), String(p.slot ?? '')]);
  return csvRow(HEAD) + pads.map(row).join('');
}

/** A land as a standalone SVG 1.1 document in physical size, seen from the top: body, courtyard, pads with their numbers. */
export function landSvg(part: Part, pkg: Package): string {
  const { land } = pkg;
  const [w, h] = [land.courtyard?.w ?? 10, land.courtyard?.h ?? 10].map((size) => size + 1) as [number, number];
  const owners = padOwners(part, pkg.id);
  const centred = (size: { w: number; h: number } | undefined, dash: string) =>
    size ? [`<rect x="${n(-size.w / 2)}" y="${n(-size.h / 2)}" width="${n(size.w)}" height="${n(size.h)}"${dash}/>`] : [];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" version="1.1" role="img" aria-labelledby="title" width="${n(w)}mm" height="${n(h)}mm" viewBox="${[-w / 2, -h / 2, w, h].map(n).join(' ')}">`,
    `<title id="title">${xmlText(`${part.name}, land of ${pkg.name}, seen from the top`)}</title>`,
    '<g fill="none" stroke="#16302A" stroke-width="0.08" font-family="monospace">',
    ...centred(land.courtyard, ' stroke-dasharray="0.4 0.3"'),
    ...centred(land.body, ''),
    ...land.pads.map((p) => padSvg(p, (owners.get(p.number) ?? []).map((o) => o.name).join(' '))),
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}

const n = (value: number): string => String(Math.round(value * 1000) / 1000 + 0);

function padSvg(pad: Pad, name: string): string {
  const least = Math.min(pad.w, pad.h);
  const radius = pad.shape === 'rect' ? 0 : pad.shape === 'roundrect' ? least / 4 : least / 2;
  const box = `<rect x="${n(pad.x - pad.w / 2)}" y="${n(-pad.y - pad.h / 2)}" width="${n(pad.w)}" height="${n(pad.h)}" rx="${n(radius)}" fill="#FFFFFF"><title>${xmlText(`${pad.number} ${name}`.trim())}</title></rect>`;
  const size = Math.min(least * 0.7, (Math.max(pad.w, pad.h) * 1.4) / Math.max(1, pad.number.length));
  const text = `<text x="${n(pad.x)}" y="${n(-pad.y + size * 0.35)}" font-size="${n(size)}" text-anchor="middle" fill="#16302A" stroke="none">${xmlText(pad.number)}</text>`;
  const isFlat = pad.w >= pad.h;
  const [hw, hh] =
    pad.slot === undefined ? [pad.drill ?? 0, pad.drill ?? 0] : isFlat ? [pad.slot, pad.drill ?? 0] : [pad.drill ?? 0, pad.slot];
  const hole =
    pad.drill === undefined
      ? ''
      : `<rect x="${n(pad.x - hw / 2)}" y="${n(-pad.y - hh / 2)}" width="${n(hw)}" height="${n(hh)}" rx="${n(pad.drill / 2)}"/>`;
  return box + hole + text;
}
