import type { Part, Unit } from '../part';
import { ADVANCE, boundsOf, drawUnit, type Primitive, type Weight } from '../shapes';

const INK = '#16302A';
const PAPER = '#FFFFFF';
const GREEN = '#1E7B4F';
/** Line widths in hundredths of a step. */
const WEIGHTS: Record<Weight, number> = { body: 9, pin: 7, mark: 5, rule: 4, bus: 16 };
const MARGIN = 60;
/** Millimetres a step, unless the house rules say otherwise. */
const STEP_MM = 2.54;

/** Escapes text for XML 1.0 (clause 2.4) and drops characters that it does not allow. */
export const xmlText = (text: string): string =>
  text

    .replace(
      /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g,
      '',
    )
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');

/**
 * A unit as a standalone SVG 1.1 document: titled and described for assistive technology, in physical size, without
 * scripts, styles or anything from outside.
 */
export function unitSvg(part: Part, unit: Unit, stepMm = STEP_MM): string {
  const primitives = drawUnit(part, unit);
  const box = boundsOf(primitives);
  const [x, y] = [box.left - MARGIN, -box.top - MARGIN];
  const [w, h] = [box.right - box.left + 2 * MARGIN, box.top - box.base + 2 * MARGIN];
  const mm = (hundredths: number) => number((hundredths / 100) * stepMm);
  const pins = Object.keys(unit.binding).length;
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" version="1.1" role="img" aria-labelledby="title desc" width="${mm(w)}mm" height="${mm(h)}mm" viewBox="${[x, y, w, h].map(number).join(' ')}">`,
    `<title id="title">${xmlText(`${part.name}, unit ${unit.label}`)}</title>`,
    `<desc id="desc">${xmlText(`${unit.title}: ${pins} pins. ${part.description}`.trim())}</desc>`,
    `<g fill="none" stroke="${INK}" stroke-linecap="round" stroke-linejoin="round" font-family="'Atkinson Hyperlegible Mono', monospace">`,
    ...primitives.map(element),
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}

const number = (n: number): string => String(Math.round(n * 100) / 100 + 0);

function element(p: Primitive): string {
  if (p.kind === 'text') return textElement(p);
  const stroke = `stroke-width="${WEIGHTS[p.weight]}"${p.weight === 'rule' ? ` stroke="${GREEN}"` : ''}`;
  const solid = p.kind === 'polygon' && p.solid;
  const fill = solid ? ` fill="${INK}"` : 'filled' in p && p.filled ? ` fill="${PAPER}"` : '';
  switch (p.kind) {
    case 'line':
      return `<line x1="${number(p.x1)}" y1="${number(-p.y1)}" x2="${number(p.x2)}" y2="${number(-p.y2)}" ${stroke}/>`;
    case 'circle':
      return `<circle cx="${number(p.x)}" cy="${number(-p.y)}" r="${number(p.r)}" ${stroke}${fill}/>`;
    default:
      return `<${p.kind} points="${p.points.map(([x, y]) => `${number(x)},${number(-y)}`).join(' ')}" ${stroke}${fill}/>`;
  }
}

function textElement(p: Extract<Primitive, { kind: 'text' }>): string {
  if (p.text === '') return '';
  const turn = p.upright ? ` transform="rotate(-90 ${number(p.x)} ${number(-p.y)})"` : '';
  // Capitals are 0.67 em high; the baseline lies half of that under the middle.
  const at = `x="${number(p.x)}" y="${number(-p.y + p.size * 0.335)}"`;
  const text = `<text ${at} font-size="${number(p.size)}" text-anchor="${p.anchor}" fill="${INK}" stroke="none"${p.role === 'title' || p.role === 'reference' ? ' font-weight="700"' : ''}${turn}>${xmlText(p.text)}</text>`;
  return p.overbar ? `${text}\n${overbar(p)}` : text;
}

function overbar(p: Extract<Primitive, { kind: 'text' }>): string {
  const width = [...p.text].length * ADVANCE * p.size;
  const from = p.anchor === 'start' ? p.x : p.anchor === 'end' ? p.x - width : p.x - width / 2;
  const y = -p.y - p.size * 0.48;
  const turn = p.upright ? ` transform="rotate(-90 ${number(p.x)} ${number(-p.y)})"` : '';
  return `<line x1="${number(from)}" y1="${number(y)}" x2="${number(from + width)}" y2="${number(y)}" stroke-width="${WEIGHTS.rule}"${turn}/>`;
}
