import fc from 'fast-check';
import { sendToSide, moveEdit } from '../../core/arrange';
import { applyEdit, canonicalPart, emptyPart, type Part } from '../../core/part';
import { provenPart } from '../../core/test/samples';
import { deltaOf, withDelta } from './part-delta';

const part = provenPart();
const none = emptyPart('none');
/** As the worker gets it: copies, and nothing of what was not told. */
const told = (before: Part, after: Part) => withDelta(structuredClone(before), structuredClone(deltaOf(before, after)));

it('tells the whole of a part to someone who has none', () => expect(canonicalPart(told(none, part))).toBe(canonicalPart(part)));

it('tells only of the pin that was moved and of its drawing', () => {
  const [drawing] = part.drawings;
  const moved = applyEdit(part, moveEdit(drawing!, sendToSide(drawing!, [drawing!.ports[0]!.id], 'top'), 'send pins'));
  const delta = deltaOf(part, moved);
  expect(delta.lists.pins!.changed).toEqual(moved.pins.filter((p, i) => p !== part.pins[i]));
  expect(delta.lists.drawings!.changed.map((d) => d.id)).toEqual([drawing!.id]);
  expect(canonicalPart(told(part, moved))).toBe(canonicalPart(moved));
});

it('tells nothing where nothing changed', () => expect(deltaOf(part, part)).toEqual({ whole: {}, lists: {} }));

it('takes away what is no longer there', () => {
  const { houseNumber: _, ...less } = { ...part, houseNumber: 'H1' };
  expect(told({ ...part, houseNumber: 'H1' }, less as Part)).not.toHaveProperty('houseNumber');
});

it('tells a list whole where two of it have one id', () => {
  const twice = { ...part, pins: [part.pins[0]!, part.pins[0]!] };
  expect(told(part, twice).pins).toEqual(twice.pins);
});

it('gives the part as it is after any removals, changes and reorderings', () =>
  fc.assert(
    fc.property(fc.shuffledSubarray(part.pins), fc.string(), fc.nat(), (pins, name, which) => {
      const changed = pins.map((p, i) => (i === which % (pins.length + 1) ? { ...p, name } : p));
      const after = { ...part, pins: changed, description: name };
      expect(told(part, after)).toEqual(after);
      expect(told(after, part)).toEqual(part);
    }),
  ));
