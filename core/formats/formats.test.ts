import Papa from 'papaparse';
import fc from 'fast-check';
import { applyEdit, type Part } from '../part';
import { pinNamed, provenPart } from '../test/samples';
import { csvCell, fileName, unitSvg, writePinCsv, xmlText } from '.';

const part = provenPart();

describe('the pin list', () => {
  const rows = Papa.parse<Record<string, string>>(writePinCsv(part), { header: true, skipEmptyLines: true }).data;
  it('has a row for each terminal, in the order of the numbers', () =>
    expect(rows.map((r) => r['number'])).toEqual(['1', '2', '3', '4', '5', '6', '7', '8']));
  it('says unit, side and type', () =>
    expect(rows[2]).toMatchObject({ package: 'SO-8', number: '3', name: 'IN1+', type: 'input', unit: 'A', side: 'left' }));
  it('names the terminals of a bundle apart', () => {
    const ids = part.pins.filter((p) => /^IN\d\+$/.test(p.name)).map((p) => p.id);
    const names = (p: typeof part) => writePinCsv(p).split('\r\n').map((line) => line.split(',').slice(0, 3).join()); // prettier-ignore
    expect(names(applyEdit(part, { kind: 'bundlePins', pins: ids }))).toEqual(names(part));
  });
  it('ends lines as RFC 4180 has it', () => expect(writePinCsv(part).split('\r\n')).toHaveLength(10));
  it('keeps pins without a number', () => {
    const loose = applyEdit(part, {
      kind: 'joinPads',
      package: part.packages[0]!.id,
      joins: [{ pin: pinNamed(part, 'VDD').id, pads: [] }],
    });
    expect(writePinCsv(loose).trim().split('\r\n').at(-1)).toMatch(/^,,VDD,/);
  });
  it.each<[string, string]>([
    ['plain', 'plain'],
    ['a,b', '"a,b"'],
    ['a "b"', '"a ""b"""'],
    ['two\nlines', '"two\nlines"'],
    ['=1+1', "'=1+1"],
    ['@cmd', "'@cmd"],
    ['-', '-'],
    ['+5', '+5'],
    ['-SUM(A1)', "'-SUM(A1)"],
    ['V+', 'V+'],
  ])('writes %j as %j', (text, cell) => expect(csvCell(text)).toBe(cell));
});

describe('a drawing as SVG', () => {
  const svg = unitSvg(part, part.units[0]!);
  it('stands alone, with a title and in millimetres', () => {
    expect(svg).toMatch(/^<\?xml version="1\.0" encoding="UTF-8"\?>\n<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
    expect(svg).toMatch(/role="img" aria-labelledby="title desc" width="[\d.]+mm"/);
    expect(svg).toContain('<title id="title">TF0002, unit A</title>');
  });
  it('has every name and number once', () => {
    for (const name of ['IN1+', 'IN1-', 'OUT1', '>1<', '>2<', '>3<']) expect(svg.split(name)).toHaveLength(2);
  });
  it('has no script, no style, nothing from outside', () => expect(svg).not.toMatch(/<script|<style|<image|href=|url\(|on\w+=/i));
  it('scales with the house’s grid step', () => {
    const width = (s: string) => Number(/width="([\d.]+)mm"/.exec(s)![1]);
    expect(width(unitSvg(part, part.units[0]!, 1.27)) * 2).toBeCloseTo(width(svg), 1);
  });
  it('draws overbars and upright names', () => {
    const low: Part = {
      ...part,
      pins: part.pins.map((p) => (p.name === 'OUT1' ? { ...p, name: 'RDY', activeLow: true } : p)),
      drawings: part.drawings.map((d) => ({ ...d, ports: d.ports.map((q) => ({ ...q, side: 'top' as const })) })),
    };
    const drawn = unitSvg(low, low.units[0]!);
    expect(drawn).toMatch(/rotate\(-90 /);
    expect(drawn.match(/<line [^>]*transform="rotate/g)).toHaveLength(1);
  });
  it.each(['<script>alert(1)</script>', '"><img src=x onerror=alert(1)>', '&amp;', ']]>', '\u0000\u0008x'])(
    'keeps %j a text',
    (hostile) => {
      const bad: Part = { ...part, name: hostile, description: hostile, pins: part.pins.map((p) => ({ ...p, name: hostile })) };
      const drawn = unitSvg(bad, { ...bad.units[0]!, title: hostile });
      expect(drawn).not.toMatch(/<script|<img|\u0000/);
      expect(drawn.match(/<(?!\/?(svg|title|desc|g|line|polyline|polygon|circle|text)\b|\?xml)/g)).toBeNull();
    },
  );
  it('property: any text becomes XML text without markup', () => {
    fc.assert(fc.property(fc.string({ unit: 'binary' }), (text) => expect(xmlText(text)).not.toMatch(/[<>]|&(?!(amp|lt|gt|quot);)/)));
  });
});

describe('file names', () => {
  it.each<[string, string]>([
    ['TF2204', 'TF2204'],
    ['TF2204-X v1.0', 'TF2204-X_v1.0'],
    ['../../etc', 'etc'],
    ['a/b\\c:d', 'a_b_c_d'],
    ['CON', 'part_CON'],
    ['', 'part_'],
    ['…', 'part_'],
  ])('of %j is %s', (name, file) => expect(fileName(name)).toBe(file));
  it('property: never lead anywhere', () =>
    fc.assert(fc.property(fc.string(), (name) => expect(fileName(name)).toMatch(/^[^/\\:*?"<>|\u0000-\u001f]{1,90}$/))));
});
