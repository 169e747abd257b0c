import { canonicalPart, type Edit } from '../../core/part';
import { pinNamed, provenPart } from '../../core/test/samples';
import { checkPart } from '../../core/checks';
import { makeRelease } from '../../core/release';
import { closed, edited, lockLost, opened, partReducer, redone, saveDone, saveFailed, undone, type PartState } from './part-slice';
import { equalData } from './equal';
import { stateOf, summarize } from './records';
import {
  selectDoubts,
  selectFindingsByPin,
  selectNext,
  selectNodes,
  selectPackageId,
  selectPadJoined,
  selectPinById,
  selectPlaces,
  selectTail,
} from './selectors';
import { groupFolded, ledgerResized, selected, viewReducer, viewReset } from './view-slice';
import { sayStorageError } from './db';

const part = provenPart();
const open = (readOnly = false): PartState => partReducer(undefined, opened({ id: 'x', part, revision: 1, readOnly }));
const maker = (name: string): Edit => ({ kind: 'setFields', set: { maker: name } });
const run = (state: PartState, ...actions: Parameters<typeof partReducer>[1][]) => actions.reduce(partReducer, state);
const root = (p = part, extra: object = {}) =>
  ({ part: { ...open(), part: p }, view: { ...viewReducer(undefined, viewReset()), checks: checkPart(p), ...extra } }) as never;

describe('history', () => {
  it('goes back and forth without a limit', () => {
    const names = Array.from({ length: 300 }, (_, i) => `maker ${i}`);
    const done = run(open(), ...names.map((n) => edited(maker(n))));
    const back = run(done, ...names.map(() => undone()));
    expect(canonicalPart(back.part)).toBe(canonicalPart(part));
    expect(run(back, ...names.map(() => redone())).part.maker).toBe('maker 299');
  });
  it('forgets what was undone when something new is done', () => {
    const state = run(open(), edited(maker('A')), undone(), edited(maker('B')));
    expect([state.part.maker, state.future.length]).toEqual(['B', 0]);
  });
  it('does nothing at its ends', () => {
    const state = open();
    expect(partReducer(state, undone())).toBe(state);
    expect(partReducer(state, redone())).toBe(state);
  });
  it('names its steps', () => expect(run(open(), edited(maker('A'))).past.at(-1)!.title).toBe('change maker'));
  it('never changes the part before', () => {
    const state = open();
    run(state, edited({ kind: 'removePins', pins: [part.pins[0]!.id] }));
    expect(state.part.pins).toHaveLength(8);
  });
  it('changes nothing in a tab that may only look', () => {
    const state = open(true);
    expect(run(state, edited(maker('A')), undone()).part).toBe(part);
    expect(run(open(), lockLost(), edited(maker('A'))).part).toBe(part);
  });
});

describe('saving', () => {
  it('is done when what stands was saved', () => {
    const state = run(open(), edited(maker('A')));
    expect(state.part === state.saved).toBe(false);
    const saved = partReducer(state, saveDone({ id: 'x', part: state.part, revision: 2 }));
    expect([saved.part === saved.saved, saved.revision]).toEqual([true, 2]);
  });
  it('of a part that was left meanwhile changes nothing', () => {
    const state = open();
    expect(partReducer(state, saveDone({ id: 'another', part, revision: 9 }))).toBe(state);
  });
  it('keeps what was done when it fails, and says why', () => {
    const state = run(open(), edited(maker('A')), saveFailed('no room'));
    expect([state.part.maker, state.trouble]).toEqual(['A', 'no room']);
  });
  it('leaves nothing behind when a part is closed', () => expect(partReducer(open(), closed()).id).toBeNull());
  it.each([
    [{ name: 'QuotaExceededError' }, /no room left/],
    [{ name: 'AbortError', inner: { name: 'QuotaExceededError' } }, /no room left/],
    [{ name: 'SecurityError' }, /does not let the page save/],
    [{ name: 'OpenFailedError' }, /does not let the page save/],
    [{ name: 'VersionError' }, /newer Green Kite/],
    [new Error('what'), /Download the part/],
  ])('says %j plainly', (error, says) => expect(sayStorageError(error)).toMatch(says));
});

describe('what is shown', () => {
  it('the places of pins', () =>
    expect(selectPlaces(root()).get(pinNamed(part, 'IN1+').id)).toMatchObject([{ unit: { label: 'A' }, port: { side: 'left' } }]));
  it('the first package while none is chosen', () => expect(selectPackageId(root())).toBe(part.packages[0]!.id));
  it('the first package when the chosen one is gone', () =>
    expect(selectPackageId(root(part, { package: 'gone' }))).toBe(part.packages[0]!.id));
  it('pins whose pads are all in the land', () => expect(selectPadJoined(root()).size).toBe(8));
  it('no nodes without a model', () => expect(selectNodes(root()).size).toBe(0));
  it('open doubts', () =>
    expect(
      selectDoubts(root({ ...part, pins: part.pins.map((p) => ({ ...p, doubts: [{ field: 'type' as const, reason: 'x' }] })) })),
    ).toHaveLength(8));
  it('the tail of a part in order', () =>
    expect(Object.values(selectTail(root())).map((s) => [s.count, s.done])).toEqual([
      ['8 pins', 1],
      ['3 units', 1],
      ['8/8 pads', 1],
      ['proven', 1],
      ['—', 0],
    ]));
  it('the tail of a part with nothing', () =>
    expect(Object.values(selectTail(root({ ...part, pins: [], units: [], packages: [] }))).map((s) => s.count)).toEqual([
      '—',
      '—',
      '—',
      '—',
      '—',
    ]));
  it('the state of a part', () => {
    const made = makeRelease(part, '1.0', 'x', '2026-11-23');
    const released = { ...part, releases: made.ok ? [made.value] : [] };
    expect([stateOf(part, 0), stateOf(part, 1), stateOf(released, 0), stateOf({ ...released, maker: 'B' }, 0)]).toEqual([
      'proven',
      'draft',
      'released v1.0',
      'proven',
    ]);
  });
  it('a summary for the Shelf', () =>
    expect(summarize('x', part, { ...viewReducer(undefined, viewReset()).rules }, 5)).toMatchObject({
      id: 'x',
      name: 'TF0002',
      pins: 8,
      units: 3,
      errors: 0,
      state: 'proven',
      updated: 5,
      words: expect.stringContaining('in1+') as string,
    }));
});

describe('the view', () => {
  const start = viewReducer(undefined, viewReset());
  it('keeps the ledger between its limits', () =>
    expect([100, 400, 9000].map((w) => viewReducer(start, ledgerResized(w)).ledgerWidth)).toEqual([260, 400, 720]));
  it('folds and unfolds', () => {
    const folded = viewReducer(start, groupFolded('A'));
    expect([folded.folded, viewReducer(folded, groupFolded('A')).folded]).toEqual([['A'], []]);
  });
  it('forgets the selection of another part', () =>
    expect(viewReducer(viewReducer(start, selected(['p1'])), viewReset()).selection).toEqual([]));
});

describe('what comes next', () => {
  it.each<[string, typeof part, RegExp]>([
    ['of a part with nothing', { ...part, pins: [], units: [], packages: [] }, /Alt\+1/],
    [
      'of a part with a doubt',
      { ...part, pins: part.pins.map((p) => ({ ...p, doubts: [{ field: 'type' as const, reason: 'x' }] })) },
      /settle the doubts/,
    ],
    ['of pins that are not drawn', { ...part, units: [] }, /arrange the pins/],
    ['of a part without a land', { ...part, packages: [{ ...part.packages[0]!, land: { pads: [] } }] }, /join the pads/],
    ['of a part with a finding', { ...part, maker: '' }, /settle the findings/],
    ['of a part in order', part, /release the part/],
  ])('%s', (_what, p, says) => expect(selectNext(root(p))).toMatch(says));
});

describe('what is equal stays what it was', () => {
  const moved = { ...part, drawings: part.drawings.map((d) => ({ ...d })) };
  it.each([
    ['the doubts', selectDoubts],
    ['the nodes', selectNodes],
    ['the pads that are joined', selectPadJoined],
    ['the pins', selectPinById],
  ])('%s, when only a drawing has changed', (_what, select) => expect(select(root(moved))).toBe(select(root())));
  it.each([
    ['the findings of each pin', selectFindingsByPin],
    ['the tail', selectTail],
  ])('%s, when the checks come anew and say the same', (_what, select) => expect(select(root())).toBe(select(root())));
  it.each([
    ['maps of the same entries', new Map([['a', 1]]), new Map([['a', 1]]), true],
    ['maps with another value', new Map([['a', 1]]), new Map([['a', 2]]), false],
    ['maps with another key', new Map([['a', 1]]), new Map([['b', 1]]), false],
    ['maps, one larger', new Map(), new Map([['a', 1]]), false],
    ['plain data', { a: [1] }, { a: [1] }, true],
    ['other plain data', { a: [1] }, { a: [2] }, false],
  ])('%s', (_what, a, b, equal) => expect(equalData(a, b)).toBe(equal));
});
