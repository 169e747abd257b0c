import type { Pad } from '../../../core/part';
import { turnPad } from './land-turn';

const pad: Pad = { number: '1', x: -2, y: 1, w: 1.5, h: 0.5, shape: 'roundrect' };

describe('a package as it is looked at', () => {
  it.each<[string, boolean, number, [number, number, number, number]]>([
    ['from the top', false, 0, [-2, 1, 1.5, 0.5]],
    ['from the bottom, mirrored', true, 0, [2, 1, 1.5, 0.5]],
    ['turned clockwise once', false, 1, [1, 2, 0.5, 1.5]],
    ['turned twice', false, 2, [2, -1, 1.5, 0.5]],
    ['turned three times', false, 3, [-1, -2, 0.5, 1.5]],
    ['from the bottom and turned', true, 1, [1, -2, 0.5, 1.5]],
  ])('%s', (_how, isBottom, quarters, expected) => {
    const { x, y, w, h } = turnPad(pad, isBottom, quarters);
    expect([x, y, w, h]).toEqual(expected);
  });
  it('is the same after four turns, and after two looks from the bottom', () => {
    expect(turnPad(pad, false, 4)).toEqual(pad);
    expect(turnPad(turnPad(pad, true, 0), true, 0)).toEqual(pad);
  });
});
