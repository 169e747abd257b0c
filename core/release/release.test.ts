import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { applyEdit, canonicalPart, parsePart, type Part } from '../part';
import { AMP_MODEL, good, pinNamed, provenPart, refused, tried } from '../test/samples';
import {
  bundleFiles,
  bundleZip,
  compareVersions,
  isVersion,
  latestRelease,
  makeRelease,
  packLibrary,
  partDigest,
  readArchive,
  releaseStops,
  sha256,
  suggestVersion,
} from '.';

const part = provenPart();
const ties = (n: 1 | 2) => ({
  '1': { pin: pinNamed(part, `IN${n}+`).id },
  '2': { pin: pinNamed(part, `IN${n}-`).id },
  '3': { pin: pinNamed(part, 'VDD').id },
  '4': { pin: pinNamed(part, 'VSS').id },
  '5': { pin: pinNamed(part, `OUT${n}`).id },
});
const untried = applyEdit(part, {
  kind: 'setModel',
  model: { id: 'm1', fileName: 'a.lib', source: AMP_MODEL, chosen: 'AMP1', ties: { u1: ties(1), u2: ties(2) } },
});
const joined = tried(untried);
const release = (p: Part, version = '1.0') => good(makeRelease(p, version, 'First.', '2026-11-23'));
const released = (p: Part, version = '1.0') => applyEdit(p, { kind: 'addRelease', release: release(p, version) });

describe('digests', () => {
  it('are SHA-256 of the UTF-8 bytes', () =>
    expect(sha256('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad'));
  it('do not depend on releases, and do on everything else', () => {
    expect(partDigest(released(part))).toBe(partDigest(part));
    expect(partDigest({ ...part, description: 'Another' })).not.toBe(partDigest(part));
  });
  it('are the same after a round trip through the file', () =>
    expect(partDigest(parsePart(canonicalPart(joined)))).toBe(partDigest(joined)));
});

describe('versions', () => {
  it.each([
    ['1.0', true],
    ['1.2.3', true],
    ['10.20', true],
    ['1', false],
    ['v1.0', false],
    ['1.0-a', false],
    ['', false],
    ['1.0.0.0', false],
  ])('“%s” is one: %s', (text, is) => expect(isVersion(text)).toBe(is));
  it.each([
    ['1.0', '1.1'],
    ['1.9', '1.10'],
    ['1.9', '2.0'],
    ['1.0', '1.0.1'],
  ])('%s comes before %s', (a, b) => expect(compareVersions(a, b)).toBeLessThan(0));
  it('suggests 1.0 first', () => expect(suggestVersion(part)).toBe('1.0'));
  it.each<[string, (p: Part) => Part, string]>([
    ['a text', (p) => ({ ...p, description: 'Better' }), '1.1'],
    ['a pin’s name', (p) => ({ ...p, pins: p.pins.map((x, i) => (i === 0 ? { ...x, name: 'Z' } : x)) }), '2.0'],
    ['a pin’s number', (p) => ({ ...p, pins: p.pins.map((x, i) => (i === 0 ? { ...x, pads: {} } : x)) }), '2.0'],
    ['a pin’s type', (p) => ({ ...p, pins: p.pins.map((x, i) => (i === 0 ? { ...x, type: 'passive' } : x)) }), '2.0'],
    [
      'a connect point',
      (p) => ({ ...p, drawings: p.drawings.map((d) => ({ ...d, ports: d.ports.map((q) => ({ ...q, length: q.length + 1 })) })) }),
      '2.0',
    ],
    ['the width of the body only', (p) => ({ ...p, keywords: ['x'] }), '1.1'],
  ])('after a change of %s', (_what, change, version) => expect(suggestVersion(change(released(part)))).toBe(version));
  it('knows the latest', () => expect(latestRelease(released(released(part, '1.9'), '1.10'))!.version).toBe('1.10'));
});

describe('a release', () => {
  it('freezes the part under its digest', () => {
    const made = release(part);
    expect(made.digest).toBe(partDigest(part));
    expect('releases' in made.frozen).toBe(false);
    expect(canonicalPart(released(part))).toContain('"version": "1.0"');
  });
  it.each<[string, () => ReturnType<typeof makeRelease>, RegExp]>([
    ['an error open', () => makeRelease({ ...part, maker: '' }, '1.0', 'x', '2026-11-23'), /1 finding\(s\) of severity error/],
    [
      'a doubt open',
      () =>
        makeRelease(
          { ...part, pins: part.pins.map((p) => ({ ...p, doubts: [{ field: 'type', reason: 'x' }] })) },
          '1.0',
          'x',
          '2026-11-23',
        ),
      /8 doubt\(s\) are open/,
    ],
    ['a joined model that was not tried', () => makeRelease(untried, '1.0', 'x', '2026-11-23'), /1 finding\(s\) of severity error/],
    ['a version that is none', () => makeRelease(part, 'one', 'x', '2026-11-23'), /is not a version/],
    ['a version that is taken', () => makeRelease(released(part), '1.0', 'x', '2026-11-23'), /released already/],
    ['no note', () => makeRelease(part, '1.0', ' ', '2026-11-23'), /needs a note/],
  ])('is refused with %s', (_what, make, says) => expect(refused(make()).join(' ')).toMatch(says));
  it('says beforehand what stops it', () =>
    expect([releaseStops(part), releaseStops({ ...part, maker: '' })].map((s) => s.length)).toEqual([0, 1]));
  it('is never replaced', () =>
    expect(() => applyEdit(released(part), { kind: 'addRelease', release: release(part) })).toThrow(/is released/));
});

describe('the bundle', () => {
  const zip = bundleZip(release(joined));
  const entries = unzipSync(zip);
  const manifest = JSON.parse(strFromU8(entries['manifest.json']!)) as {
    digest: string;
    files: { path: string; sha256: string; bytes: number }[];
  };
  it('holds part, drawings, pins, library and manifest', () =>
    expect(Object.keys(entries).sort()).toEqual([
      'TF0002-check.html',
      'TF0002-pins.csv',
      'TF0002.kite.json',
      'land/TF0002-SO-8.csv',
      'land/TF0002-SO-8.svg',
      'land/TF0002.xml',
      'manifest.json',
      'spice/TF0002.lib',
      'symbol/TF0002-A.svg',
      'symbol/TF0002-B.svg',
      'symbol/TF0002-C.svg',
      'symbol/TF0002.edf',
    ]));
  it('names every file with its digest', () => {
    expect(manifest.files.map((f) => f.path).sort()).toEqual(
      Object.keys(entries)
        .filter((p) => p !== 'manifest.json')
        .sort(),
    );
    for (const f of manifest.files) expect([sha256(entries[f.path]!), entries[f.path]!.length]).toEqual([f.sha256, f.bytes]);
  });
  it('holds the part that the digest is of', () =>
    expect(partDigest(parsePart(strFromU8(entries['TF0002.kite.json']!)))).toBe(manifest.digest));
  it('is the same bytes for the same release, whatever the day and the time zone', () => {
    const zone = process.env['TZ'];
    process.env['TZ'] = 'Asia/Tokyo';
    const again = bundleZip({ ...release(joined), date: '2030-01-01' } as never);
    process.env['TZ'] = zone;
    expect(sha256(again)).toBe(sha256(zip));
    expect(sha256(bundleZip(release(parsePart(canonicalPart(joined)))))).toBe(sha256(zip));
  });
  it('has no library where no model is joined', () =>
    expect(bundleFiles(release(part)).map((f) => f.path)).not.toContain('spice/TF0002.lib'));
});

describe('archives', () => {
  it('bring back what was packed', () =>
    expect(
      good(readArchive(packLibrary([part, joined])))
        .parts.map((p) => partDigest(p))
        .sort(),
    ).toEqual([partDigest(part), partDigest(joined)].sort()));
  it('carry the sources, and leave out one that is not what its digest says', () => {
    const bytes = strToU8('Pin,Name\n1,A\n');
    const source = { digest: sha256(bytes), name: 'a.csv', bytes };
    const read = good(readArchive(packLibrary([part], [source]), 'lib.zip'));
    expect(read.sources).toEqual([source]);
    const forged = zipSync({ 'a.kite.json': strToU8(canonicalPart(part)), [`sources/${source.digest}/a.csv`]: strToU8('other') });
    expect(good(readArchive(forged, 'lib.zip'))).toMatchObject({ sources: [], problems: [{ code: 'archive-source' }] });
  });
  it('take the good parts and say what is wrong with the others', () => {
    const zip = zipSync({ 'a.kite.json': strToU8(canonicalPart(part)), 'b.kite.json': strToU8('{"name":5}'), 'notes.txt': strToU8('x') });
    const read = good(readArchive(zip, 'lib.zip'));
    expect(read.parts).toHaveLength(1);
    expect(read.problems[0]!.at!.file).toBe('lib.zip/b.kite.json');
  });
  it.each<[string, Uint8Array, RegExp]>([
    ['no archive', strToU8('hello'), /not a zip archive/],
    ['a path to the parent folder', zipSync({ '../evil.kite.json': strToU8('{}') }), /leads out of its folder/],
    ['an absolute path', zipSync({ '/etc/evil.kite.json': strToU8('{}') }), /leads out/],
    ['a drive letter', zipSync({ 'C:evil.kite.json': strToU8('{}') }), /leads out/],
    ['a backslash', zipSync({ 'a\\..\\evil.kite.json': strToU8('{}') }), /leads out/],
    ['no part', zipSync({ 'readme.txt': strToU8('x') }), /no part file/],
    ['a cut archive', packLibrary([part]).slice(0, 300), /not a zip archive|damaged/],
  ])('with %s are refused', (_what, bytes, says) => expect(refused(readArchive(bytes, 'lib.zip')).join(' ')).toMatch(says));
});
