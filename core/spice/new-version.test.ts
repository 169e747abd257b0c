import type { Model, NodeTie } from '../part';
import { newVersionOf } from '.';

const file = (head: string, ...comments: string[]) => `${comments.map((c) => `* ${c}\n`).join('')}.subckt ${head}\nR1 1 2 1k\n.ends\n`;
const LADDER = ['1 = input', '2 = output', '3 = ground'];
const OLD = file('AMP 1 2 3 PARAMS: GAIN=10 BW=1meg', ...LADDER);
const tie = (pin: string): NodeTie => ({ pin });
const model = (source: string, names = ['1', '2', '3'], chosen = 'AMP'): Model => ({
  id: 'm7',
  fileName: 'old.lib',
  source,
  chosen,
  ties: { u1: Object.fromEntries(names.map((n) => [n, tie(`p${n}`)])), u2: { [names[0]!]: { to: 'open' } } },
  params: { GAIN: '20', BW: '2meg' },
  berkeley: true,
  readBack: { u1: { 1: 'abc' } },
});
const to = (source: string, chosen = 'AMP') => ({ fileName: 'new.lib', source, chosen });

describe('a new version of a model', () => {
  it.each<[string, Model, string, string[], string[]]>([
    ['another body', model(OLD), OLD.replace('1k', '2k'), ['1', '2', '3'], []],
    ['another comment on a node', model(OLD), OLD.replace('2 = output', '2 = shutdown'), ['1', '3'], ['2']],
    ['blanks and capitals in a comment', model(OLD), OLD.replace('2 = output', '2 =  Output'), ['1', '2', '3'], []],
    ['a node more', model(OLD), file('AMP 1 2 3 4', ...LADDER, '4 = shutdown'), ['1', '2', '3'], ['4']],
    ['a node less', model(OLD), file('AMP 1 2', ...LADDER.slice(0, 2)), ['1', '2'], ['3']],
    ['nodes in another order that are described', model(OLD), file('AMP 2 1 3', ...LADDER), ['1', '2', '3'], []],
    ['bare numbers in another order', model(file('AMP 1 2 3')), file('AMP 2 1 3'), [], ['1', '2', '3']],
    ['bare numbers as they were', model(file('AMP 1 2 3')), file('AMP 1 2 3', 'a remark of other things'), ['1', '2', '3'], []],
    ['names in another order', model(file('AMP in out gnd'), ['in', 'out', 'gnd']), file('AMP out in gnd'), ['gnd', 'in', 'out'], []],
  ])('with %s', (_what, current, source, kept, loose) => {
    const next = newVersionOf(current, to(source));
    expect(Object.keys(next.model.ties['u1']!).sort()).toEqual(kept);
    expect(next.loose.sort()).toEqual(loose);
    expect(next.model).toMatchObject({ id: 'm7', fileName: 'new.lib', source, berkeley: true, readBack: current.readBack });
    const first = Object.keys(current.ties['u2']!)[0]!;
    expect(next.model.ties['u2']).toEqual(kept.includes(first) ? { [first]: { to: 'open' } } : {});
    expect(next.kept).toBe(kept.length + (kept.includes(first) ? 1 : 0));
  });
  it('keeps what was set of the parameters that there still are', () => {
    expect(newVersionOf(model(OLD), to(OLD.replace(' BW=1meg', ''))).model.params).toEqual({ GAIN: '20' });
    expect(newVersionOf(model(OLD), to(file('AMP 1 2 3', ...LADDER))).model).not.toHaveProperty('params');
  });
  it('is the model itself where nothing but the file’s name is another', () =>
    expect(newVersionOf(model(OLD), to(OLD))).toEqual({ model: { ...model(OLD), fileName: 'new.lib' }, kept: 0, loose: [] }));
  it.each([
    ['another model', to(`${OLD}${OLD.replace('AMP', 'AMP2')}`, 'AMP2')],
    ['no model at all', to('nothing')],
  ])('keeps nothing where it is %s', (_what, other) =>
    expect(newVersionOf(model(OLD), other)).toEqual({ model: { id: 'm7', ...other, ties: {} }, kept: 0, loose: [] }),
  );
});
