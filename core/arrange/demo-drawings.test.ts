import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parsePart, type Part } from '../part';

const part = (name: string): Part => parsePart(readFileSync(resolve(__dirname, '../../demo/library', `${name}.kite.json`), 'utf8'));

/** A unit as a person would sketch it: what stands left and right, row by row, from the top. */
function sketch(p: Part, label: string): string[] {
  const unit = p.units.find((u) => u.label === label)!;
  const drawing = p.drawings.find((d) => d.id === unit.drawing)!;
  const name = (port: string) => p.pins.find((x) => x.id === unit.binding[port])!.name;
  const at = (side: string, y: number) => {
    const port = drawing.ports.find((q) => q.side === side && q.at === y);
    return port ? `${name(port.id)}${(port.marks ?? []).map((m) => ` ${m}`).join('')}` : '';
  };
  const rows: string[] = [];
  for (let y = drawing.body.height / 2 - (drawing.body.shape === 'block' ? 2 : 1); y > -drawing.body.height / 2; y--)
    rows.push(`${at('left', y)} | ${at('right', y)}`.trim());
  return rows;
}

/** Drawings that were looked at and found good; a change here is a change of what designers see. */
it('a channel of the line receiver', () => expect(sketch(part('TF2204'), 'B')).toEqual(['|', '2A hysteresis | 2Y', '|']));

it('the supplies of the line receiver, with what is not connected', () =>
  expect(sketch(part('TF2204'), 'E')).toEqual(['VCC | GND', '|', 'NC |', 'NC |', 'NC |', 'NC |']));

it('the bridge converter', () =>
  expect(sketch(part('TF7311'), 'A')).toEqual([
    'AVDD | REFIN+',
    'DVDD | REFIN-',
    '| REFOUT',
    'AIN1+ |',
    'AIN1- | DRDY negation open-drain',
    'AIN2+ | CS negation',
    'AIN2- | SCLK clock',
    '| DIN',
    'GAIN | DOUT three-state',
    'XIN |',
    'XOUT |',
    'PWDN negation |',
    '|',
    'DGND |',
    'AGND |',
    '|',
  ]));

it('the regulator', () => expect(sketch(part('TF5501'), 'A')).toEqual(['|', 'IN | OUT', '|', 'EN | NR', '|']));

it('the heater driver', () =>
  expect(sketch(part('TF1502'), 'A').filter((row) => row !== '|')).toEqual(
    expect.arrayContaining(['VDD | LO', '| HO', 'IN |', 'DIS | SW']),
  ));

it('a channel of the isolator', () => expect(sketch(part('TF6120'), 'A')).toEqual(['IN1 | OUT1', '|']));

it('an element of the sun sensor', () => expect(sketch(part('TF0915'), 'B')).toEqual(['|', 'A2 | K2', '|']));

it('the connector, odd and even contacts in their order', () => {
  const names = sketch(part('OS-TB10'), 'A').join(' ');
  for (const name of ['TETHER+', 'TETHER-', 'TENSION+', 'EXC-', 'REEL_A', 'SHIELD']) expect(names).toContain(name);
});

it.each(['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'])('unit %s of the vision array keeps its pairs beside each other', (label) => {
  const p = part('TF8484');
  const unit = p.units.find((u) => u.label === label)!;
  const ports = p.drawings.find((d) => d.id === unit.drawing)!.ports;
  const place = new Map(ports.map((q) => [p.pins.find((x) => x.id === unit.binding[q.id])!.name, q]));
  for (const [name, positive] of place) {
    if (!/_L\d+P$/.test(name)) continue;
    const negative = place.get(name.replace(/P$/, 'N'));
    if (negative) expect([negative.side, positive.at - negative.at]).toEqual([positive.side, 1]);
  }
});

it('no unit of the vision array is taller than a sheet takes', () => {
  for (const d of part('TF8484').drawings) expect(d.body.height).toBeLessThanOrEqual(60);
});
