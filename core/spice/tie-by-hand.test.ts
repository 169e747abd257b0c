import type { NodeTie, Pin } from '../part';
import { tieByHand } from '.';

const pin = (id: string, name: string, type: Pin['type']): Pin => ({ id, name, type, pads: {}, doubts: [] });
const PINS = [
  pin('a', 'VSS', 'ground'),
  pin('b', 'VSS', 'ground'),
  pin('c', 'VSS', 'ground'),
  pin('d', 'VSSA', 'ground'),
  pin('e', 'VSS', 'passive'),
  pin('f', 'IN', 'input'),
  pin('g', 'IN', 'input'),
];

it.each<[string, string, Record<string, NodeTie>, NodeTie]>([
  ['a ground with those of its name and type', 'b', {}, { pin: 'b', also: ['a', 'c'] }],
  ['a ground without those on another node', 'a', { other: { pin: 'b' } }, { pin: 'a', also: ['c'] }],
  ['a ground with those that its own node has', 'a', { n: { pin: 'b', also: ['c'] } }, { pin: 'a', also: ['b', 'c'] }],
  ['a ground that is alone', 'd', {}, { pin: 'd' }],
  ['a signal, of which another can have the name', 'f', {}, { pin: 'f' }],
])('ties %s', (_what, id, ties, tie) =>
  expect(
    tieByHand(
      PINS,
      ties,
      'n',
      PINS.find((p) => p.id === id)!,
    ),
  ).toEqual(tie),
);
