import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { checkPart } from '../core/checks';
import { parsePart } from '../core/part';
import { partDigest, sha256 } from '../core/release';
import { DEMO } from './hand-edits';

const stored = (name: string) => readFileSync(resolve(__dirname, 'library', `${name}.kite.json`), 'utf8');

it('has no file that nobody makes', () =>
  expect(readdirSync(resolve(__dirname, 'library')).sort()).toEqual(
    Object.keys(DEMO)
      .map((n) => `${n}.kite.json`)
      .sort(),
  ));

it('sources and library are what the program makes, byte for byte', () => {
  const files = ['sources', 'library'].flatMap((f) => readdirSync(resolve(__dirname, f)).map((name) => resolve(__dirname, f, name)));
  const digests = () => Object.fromEntries(files.map((f) => [f, sha256(readFileSync(f))]));
  const before = digests();
  execFileSync('node', [resolve(__dirname, '../tools/demo.mjs')], { stdio: 'pipe' });
  expect(digests()).toEqual(before);
}, 60_000);

it.each([
  ['TF2204', 14, 5, 0],
  ['TF3064', 64, 3, 0],
  ['TF8484', 484, 8, 0],
  ['TF7311', 20, 1, 1],
  ['TF9048', 49, 1, 1],
])('%s has %i pins, %i units and %i findings', (name, pins, units, findings) => {
  const part = parsePart(stored(name));
  expect([part.pins.length, part.units.length, checkPart(part).findings.length]).toEqual([pins, units, findings]);
});

it.each(['TF2204', 'TF6120', 'OS-TB10'])('%s is released as it stands', (name) => {
  const part = parsePart(stored(name));
  expect(part.releases.at(-1)!.digest).toBe(partDigest(part));
});

it('keeps the two grounds of the isolator apart', () => {
  const part = parsePart(stored('TF6120'));
  const grounds = part.pins.filter((p) => p.type === 'ground');
  expect(new Set(grounds.map((p) => p.name))).toEqual(new Set(['GND1', 'GND2']));
  expect(grounds.every((p) => Object.values(p.pads).every((pads) => pads.length === 1))).toBe(true);
});

it('ties the regulator by what the model says, not by its order', () => {
  const part = parsePart(stored('TF5501'));
  const ties = part.models[0]!.ties['*']!;
  const name = (node: string) => part.pins.find((p) => p.id === (ties[node] as { pin: string }).pin)!.name;
  expect(['1', '2', '3', '4', '5'].map(name)).toEqual(['EN', 'OUT', 'GND', 'IN', 'NR']);
});

it('the hurried part carries findings of every family that a reader can leave behind', () => {
  const rules = new Set(checkPart(parsePart(stored('TF2204-X'))).findings.map((f) => f.rule));
  for (const rule of [
    'field-empty',
    'number-twice',
    'type-unspecified',
    'supply-name-type',
    'doubt-open',
    'pin-undrawn',
    'pin-drawn-twice',
    'place-twice',
    'pad-without-pin',
    'node-untied',
    'output-bundled',
    'reference-letters',
  ])
    expect(rules).toContain(rule);
});
