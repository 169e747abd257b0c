import { execFileSync, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { canonicalPart, parsePart } from '../core/part';
import { partDigest, sha256 } from '../core/release';
import { AMP_MODEL, AMP_TABLE, provenPart } from '../core/test/samples';

const root = resolve(__dirname, '..');
const folder = mkdtempSync(join(tmpdir(), 'green-kite-cli-'));
const at = (name: string) => join(folder, name);
const samples = (name: string) => join(root, 'bench/corpus/refused', name);
const demo = (name: string) => join(root, 'demo/sources', name);

beforeAll(() => {
  const stale = spawnSync('node', ['bin/stale', 'dist/cli/green-kite.mjs', 'core', 'adapters', 'cli'], { cwd: root }).status === 0;
  if (stale) execFileSync('node', ['tools/build.mjs', '--cli'], { cwd: root });
  writeFileSync(at('amp.csv'), AMP_TABLE);
  writeFileSync(at('amp.lib'), AMP_MODEL);
  writeFileSync(at('good.kite.json'), canonicalPart(provenPart()));
  writeFileSync(at('bad.kite.json'), canonicalPart({ ...provenPart(), maker: '' }));
  writeFileSync(at('broken.kite.json'), canonicalPart(provenPart()).slice(0, 500));
  mkdirSync(at('empty'));
}, 60_000);
afterAll(() => rmSync(folder, { recursive: true }));

interface Run {
  code: number;
  out: string;
  err: string;
}
const run = (...args: string[]): Run => {
  const r = spawnSync('node', [join(root, 'dist/cli/green-kite.mjs'), ...args], { cwd: folder, encoding: 'utf8', timeout: 20_000 });
  return { code: r.status ?? -1, out: r.stdout, err: r.stderr };
};
const json = (...args: string[]): Record<string, never> & { [key: string]: never } => {
  const r = run(...args, '--json');
  if (r.out === '') throw new Error(r.err);
  return JSON.parse(r.out) as never;
};

describe('intake', () => {
  it('gives one record a terminal in the shape of the contract', () => {
    const read = json('intake', 'amp.csv') as unknown as {
      packages: object[];
      package: string;
      pins: object[];
      pairs: object[];
      problems: object[];
    };
    expect(read).toMatchObject({
      packages: [{ name: '', pinCount: 8 }],
      package: '',
      pairs: [
        ['3', '2'],
        ['5', '6'],
      ],
      problems: [],
    });
    expect(read.pins[2]).toEqual({
      belongsTo: 'Amplifier 1',
      number: '3',
      name: 'IN1+',
      type: 'input',
      description: 'Non-inverting input of amplifier 1',
      origin: { line: 4 },
      doubts: [],
    });
  });
  it.each<[string, number, string, object]>([
    ['TF2204.pdf', 14, 'SO-14', { page: 1 }],
    ['TF7311.pdf', 20, 'TSSOP-20', { page: 4 }],
    ['TF1502.pdf', 9, 'SO-8-EP', { page: 1 }],
    ['TF9048.pdf', 49, 'QFN-48', { page: 2 }],
    ['TF3064.xlsx', 64, 'LQFP-64', { sheet: 'Pins', cell: 'D5' }],
    ['TF8484.bsd', 484, 'BGA484', {}],
    ['TF6120.ibs', 16, 'TF6120', {}],
  ])('reads %s: %i terminals in %s, each with its place', (file, pins, packageName, origin) => {
    const read = json('intake', demo(file)) as unknown as { package: string; pins: { origin: object }[]; problems: object[] };
    expect([read.pins.length, read.package, read.problems]).toEqual([pins, packageName, []]);
    expect(read.pins[0]!.origin).toMatchObject(origin);
    expect(read.pins.every((p) => Object.keys(p.origin).length > 0)).toBe(true);
  });
  it('reads overbars, groups and two-line cells of a datasheet', () => {
    const read = json('intake', demo('TF7311.pdf')) as unknown as { pins: Record<string, unknown>[] };
    expect(read.pins.find((p) => p['number'] === '12')).toMatchObject({
      name: 'DRDY',
      activeLow: true,
      type: 'open-drain',
      group: 'Serial port',
    });
    expect(read.pins.filter((p) => (p['doubts'] as object[]).length > 0).map((p) => p['name'])).toEqual(['GAIN']);
  });
  it('takes footnote marks off names and reads the exposed pad', () => {
    const read = json('intake', demo('TF1502.pdf')) as unknown as { pins: { number: string; name: string }[] };
    expect(read.pins.map((p) => `${p.number} ${p.name}`)).toEqual([
      '1 VDD',
      '2 IN',
      '3 DIS',
      '4 GND',
      '5 LO',
      '6 SW',
      '7 HO',
      '8 BOOT',
      'EP GND',
    ]);
  });
  it('gives the pairs of a boundary-scan file', () =>
    expect((json('intake', demo('TF8484.bsd')) as unknown as { pairs: object[] }).pairs).toHaveLength(8));
  it('chooses a package of a workbook', () =>
    expect((json('intake', demo('TF3064.xlsx'), '--package', 'QFN48') as unknown as { pins: object[] }).pins).toHaveLength(48));
  it('drafts a part from a datasheet, with its source', () => {
    expect(run('draft', demo('TF2204.pdf'), '-o', 'drafted.kite.json').code).toBe(0);
    const part = parsePart(readFileSync(at('drafted.kite.json'), 'utf8'));
    expect([part.name, part.description, part.sources[0]!.kind]).toEqual(['TF2204', 'Quad Schmitt line receiver', 'pdf']);
  });
  it('says what the source has wrong on stderr, the data on stdout', () => {
    writeFileSync(at('twice.csv'), 'Pin,Name,Type\n1,A,I\n1,B,I\n');
    const r = run('intake', 'twice.csv');
    expect(r.code).toBe(0);
    expect(r.err).toMatch(/^twice\.csv, line 3: Number 1 stands twice/);
    expect(r.out).not.toMatch(/stands twice/);
  });
  it('reads old Windows encodings and UTF-16', () => {
    writeFileSync(at('old.csv'), Buffer.from('Pin,Name,Type\n1\x962,D0\x96D1,I/O\n3,A,I\n', 'latin1'));
    writeFileSync(at('wide.csv'), Buffer.from('\uFEFFPin,Name,Type\n1,A,I\n2,B,I\n', 'utf16le'));
    expect((json('intake', 'old.csv') as unknown as { pins: { name: string }[] }).pins.map((p) => p.name)).toEqual(['D0', 'D1', 'A']);
    expect((json('intake', 'wide.csv') as unknown as { pins: { name: string }[] }).pins.map((p) => p.name)).toEqual(['A', 'B']);
  });
});

describe('draft, check, export, release', () => {
  it('drafts a part that check can read', () => {
    const drafted = json('draft', 'amp.csv', '-o', 'out/amp.kite.json') as unknown as {
      part: string;
      units: object[];
      doubts: number;
      findings: number;
    };
    expect(drafted).toMatchObject({
      part: 'out/amp.kite.json',
      doubts: 0,
      units: [{ label: 'A', title: 'Channel 1', pins: 3 }, { label: 'B' }, { label: 'C', title: 'Supplies', pins: 2 }],
    });
    const part = parsePart(readFileSync(at('out/amp.kite.json'), 'utf8'));
    expect(canonicalPart(part)).toBe(readFileSync(at('out/amp.kite.json'), 'utf8'));
    const checked = run('check', 'out/amp.kite.json', '--json');
    expect(checked.code).toBe(1);
    expect((JSON.parse(checked.out) as { findings: object[] }).findings).toHaveLength(drafted.findings);
  });
  it('drafts by house rules', () => {
    writeFileSync(at('rules.json'), '{"pinLength":4}');
    run('draft', 'amp.csv', '-o', 'long.kite.json', '--rules', 'rules.json');
    expect(parsePart(readFileSync(at('long.kite.json'), 'utf8')).drawings[0]!.ports[0]!.length).toBe(4);
  });
  it('check exits with 0 while no error is open, and 1 when one is', () => {
    expect(run('check', 'good.kite.json').code).toBe(0);
    const bad = run('check', 'bad.kite.json', '--json');
    expect(bad.code).toBe(1);
    expect(JSON.parse(bad.out)).toEqual({
      findings: [{ part: 'TF0002', rule: 'field-empty', severity: 'error', where: 'field maker', message: 'The field maker is empty.' }],
      waived: 0,
      parts: 1,
    });
  });
  it('checks several files and folders', () => expect(json('check', 'good.kite.json', 'out')).toMatchObject({ parts: 2 }));
  it('exports SVG, CSV and a bundle, with digests', () => {
    const svg = json('export', 'good.kite.json', '--to', 'svg', '-o', 'sym/amp.svg') as unknown as {
      written: { path: string; sha256: string }[];
    };
    expect(svg.written.map((w) => w.path)).toEqual(['sym/amp-A.svg', 'sym/amp-B.svg', 'sym/amp-C.svg']);
    for (const w of svg.written) expect(sha256(readFileSync(at(w.path)))).toBe(w.sha256);
    expect(run('export', 'good.kite.json', '--to', 'csv', '-o', 'pins.csv').code).toBe(0);
    expect(readFileSync(at('pins.csv'), 'utf8')).toMatch(/SO-8,3,IN1\+/);
    expect(run('export', 'good.kite.json', '--to', 'edif', '-o', 'amp.edf').code).toBe(0);
    expect(json('draft', 'amp.edf', '-o', 'back.kite.json')).toMatchObject({ units: [{ label: 'A' }, { label: 'B' }, { label: 'C' }] });
    expect(run('export', 'back.kite.json', '--to', 'edif', '-o', 'again.edf').code).toBe(0);
    expect(readFileSync(at('again.edf'), 'utf8')).toBe(readFileSync(at('amp.edf'), 'utf8'));
    const report = json('export', 'good.kite.json', '--to', 'report', '-o', 'check.html') as unknown as typeof svg;
    expect(report.written).toEqual([{ path: 'check.html', sha256: sha256(readFileSync(at('check.html'))) }]);
    expect(readFileSync(at('check.html'), 'utf8')).toMatch(/<!doctype html>[^]*Pins in SO-8 \(8 terminals\)/);
    expect(run('export', 'good.kite.json', '--to', 'bundle', '-o', 'b.zip').code).toBe(0);
    expect(Object.keys(unzipSync(readFileSync(at('b.zip'))))).toContain('manifest.json');
  });
  it('releases, records it, and gives the same bytes again', () => {
    const made = json('release', 'good.kite.json', '--version', '1.0', '--note', 'First.', '-o', 'rel') as unknown as {
      version: string;
      digest: string;
      written: { path: string; sha256: string }[];
    };
    const part = parsePart(readFileSync(at('rel/TF0002.kite.json'), 'utf8'));
    expect([made.version, made.digest]).toEqual(['1.0', partDigest(part)]);
    expect(part.releases.map((r) => r.version)).toEqual(['1.0']);
    const manifest = JSON.parse(strFromU8(unzipSync(readFileSync(at('rel/TF0002-1.0.zip')))['manifest.json']!)) as { digest: string };
    expect(manifest.digest).toBe(made.digest);
    const again = json('release', 'good.kite.json', '--version', '1.0', '--note', 'First.', '-o', 'rel2') as unknown as typeof made;
    expect(again.written[0]!.sha256).toBe(made.written[0]!.sha256);
    expect(run('release', 'rel/TF0002.kite.json', '--version', '1.0', '--note', 'x', '-o', 'rel3')).toMatchObject({
      code: 1,
      err: expect.stringMatching(/released already/) as string,
    });
  });
  it('refuses a release while an error is open, and writes nothing', () => {
    const r = run('release', 'bad.kite.json', '--version', '1.0', '--note', 'x', '-o', 'never');
    expect(r).toMatchObject({ code: 1, err: expect.stringMatching(/^bad\.kite\.json: 1 finding/) as string });
    expect(() => statSync(at('never'))).toThrow();
  });
});

describe('pads, models, match', () => {
  it('lists pads in mm', () => {
    writeFileSync(at('SO-8.csv'), 'number,x,y,w,h,shape,drill\n1,-100mil,0,1.5,0.6,rect,\n2,0,0,1.7,1.7,circle,1\n');
    expect(json('pads', 'SO-8.csv')).toEqual({
      packages: [
        {
          name: 'SO-8',
          pads: [
            { number: '1', x: -2.54, y: 0, w: 1.5, h: 0.6, shape: 'rect' },
            { number: '2', x: 0, y: 0, w: 1.7, h: 1.7, shape: 'circle', drill: 1 },
          ],
        },
      ],
    });
  });
  it('lists models with what their comments say', () => {
    const listed = json('models', 'amp.lib') as unknown as { models: { nodes: object[] }[] };
    expect(listed).toMatchObject({ models: [{ name: 'AMP1', kind: 'subckt', device: 'opamp', params: [], line: 7 }], problems: [] });
    expect(listed.models[0]!.nodes[0]).toEqual({ name: '1', doc: 'non-inverting input' });
  });
  it.each(['pins.csv', 'good.kite.json'])('matches %s to a model, per unit', (file) => {
    writeFileSync(
      at('pins.csv'),
      'number,name,type,unit\n1,OUT1,output,A\n2,IN1-,input,A\n3,IN1+,input,A\n4,VSS,ground,\n5,IN2+,input,B\n6,IN2-,input,B\n7,OUT2,output,B\n8,VDD,supply-in,\n',
    );
    const matched = json('match', file, 'amp.lib', '--model', 'AMP1') as unknown as {
      pairs: { pin: string; node: string; unit: string; confidence: number }[];
      asks: { pin: string }[];
    };
    expect(matched.pairs.map((p) => `${p.unit} ${p.pin} ${p.node}`).sort()).toEqual([
      'A 1 5',
      'A 2 2',
      'A 3 1',
      'A 8 3',
      'B 5 1',
      'B 6 2',
      'B 7 5',
      'B 8 3',
    ]);
    expect(matched.pairs.every((p) => p.confidence > 0.5 && p.confidence <= 1)).toBe(true);
    expect(matched.asks.map((a) => a.pin)).toEqual(['4']);
  });
});

it('matches pins under other headings, between semicolons', () => {
  writeFileSync(at('other.csv'), '\uFEFFPin;Pin Name;Type\n\n1;IN+;Input\n2;IN-;INPUT\n3;OUT;output\n');
  const { pairs } = json('match', 'other.csv', 'amp.lib', '--model', 'AMP1') as unknown as { pairs: { pin: string; node: string }[] };
  expect(pairs.map((p) => `${p.pin} ${p.node}`).sort()).toEqual(['1 1', '2 2', '3 5']);
});

describe('trial', () => {
  const nodes = (...rows: string[]) => `pin,node,unit\n${rows.join('\n')}\n`;
  const tried = (...args: string[]) =>
    (json('trial', ...args) as unknown as { trials: { name: string; unit: string | null; verdict: string; reason: string }[] }).trials;
  it('simulates the joined model of a part', () => {
    const [only, ...others] = tried(resolve(__dirname, '../demo/library/TF5501.kite.json'));
    expect([only!.name, only!.unit, only!.verdict]).toEqual(['line and load', null, 'pass']);
    expect(others.map((t) => [t.name, t.verdict])).toEqual([['enable', 'pass']]);
  });
  it('fails a swapped join, and says which exchange passes', () => {
    writeFileSync(at('reg.csv'), 'number,name,type\n1,IN,supply-in\n2,GND,ground\n3,EN,input\n4,NR,passive\n5,OUT,supply-out\n');
    const lib = resolve(__dirname, '../demo/sources/TF5501.lib');
    writeFileSync(at('reg-map.csv'), nodes('1,4,', '5,2,', '2,3,', '3,1,', '4,5,'));
    expect(tried('reg.csv', lib, '--model', 'tf5501', '--map', 'reg-map.csv')[0]!.verdict).toBe('pass');
    // The leads in the model's own order: what a hurried librarian would do.
    writeFileSync(at('reg-trap.csv'), nodes('1,1,', '2,2,', '3,3,', '4,4,', '5,5,'));
    expect(tried('reg.csv', lib, '--model', 'TF5501', '--map', 'reg-trap.csv')[0]!.verdict).toBe('fail');
    writeFileSync(at('reg-en.csv'), nodes('3,4,', '5,2,', '2,3,', '1,1,', '4,5,'));
    expect(tried('reg.csv', lib, '--model', 'TF5501', '--map', 'reg-en.csv')[0]!.reason).toMatch(
      /With (IN and EN|EN and IN) exchanged it passes/,
    );
    writeFileSync(at('reg-bad.csv'), nodes('5,4,', '1,2,', '2,3,', '3,1,', '4,5,'));
    const [bad] = tried('reg.csv', lib, '--model', 'TF5501', '--map', 'reg-bad.csv');
    expect(bad!.verdict).toBe('fail');
    expect(bad!.reason).toMatch(/With (IN and OUT|OUT and IN) exchanged it passes/);
  });
  it.each([
    ['a map without columns', 'a,b\n1,2\n', /The map needs the columns pin and node/],
    ['a map with an unknown pin', nodes('99,1,'), /map\.csv, line 2: There is no pin "99"/],
    ['a map with an unknown node', nodes('1,zz,'), /map\.csv, line 2: There is no node "zz"/],
    ['a row that ends before its pin', 'node,pin\n1\n', /map\.csv, line 2: There is no pin ""/],
  ])('refuses %s', (_what, text, says) => {
    writeFileSync(at('map.csv'), text);
    writeFileSync(at('one.csv'), 'number,name,type\n1,IN+,input\n');
    const { code, err } = run('trial', 'one.csv', 'amp.lib', '--model', 'AMP1', '--map', 'map.csv');
    expect(code).toBe(1);
    expect(err).toMatch(says);
  });
});

describe('diff', () => {
  it('says what a new revision of a datasheet changes', () =>
    expect(json('diff', demo('TF7311.pdf'), demo('TF7311-B.pdf'))).toMatchObject({
      added: [],
      removed: [],
      renamed: [
        { number: '9', from: 'GAIN', to: 'GAIN0' },
        { number: '17', from: 'PWDN', to: 'DGND' },
        { number: '19', from: 'DGND', to: 'SLEEP' },
      ],
      retyped: [
        { number: '17', from: 'input', to: 'ground' },
        { number: '19', from: 'ground', to: 'input' },
      ],
      moved: [{ name: 'DGND', from: '19', to: '17' }],
    }));
  it('compares part files, and a part file with a source', () => {
    expect(json('diff', 'good.kite.json', 'good.kite.json')).toMatchObject({ added: [], removed: [], renamed: [], retyped: [] });
    writeFileSync(at('more.csv'), `${AMP_TABLE}9,EXTRA,I,One more input\n`);
    expect(json('diff', 'good.kite.json', 'more.csv')).toMatchObject({ added: ['9'], removed: [], renamed: [] });
  });
  it('compares the same package, wherever it stands in either file, and says which it does not compare', () => {
    writeFileSync(at('two.csv'), 'SO-4,QFN-4,Name,Type\n1,2,VDD,P\n2,1,CLK,I\n3,4,OUT,O\n4,3,GND,G\n');
    writeFileSync(at('turned.csv'), 'QFN-4,SO-4,Name,Type\n1,1,VDD,P\n2,2,CLK,I\n4,3,OUT,O\n3,4,GND,G\n');
    const { out, err } = run('diff', 'two.csv', 'turned.csv', '--json');
    expect(JSON.parse(out)).toMatchObject({ renamed: [], moved: [] });
    expect(err).toBe('Compared in SO-4 only. For the others: --package QFN-4.\n');
    expect(json('diff', 'two.csv', 'turned.csv', '--package', 'QFN-4')).toMatchObject({
      renamed: [{ number: '1', from: 'CLK', to: 'VDD' }, {}],
    });
  });
  it('tells it to a person', () => expect(run('diff', 'more.csv', 'amp.csv').out).toMatch(/^removed\s+9  EXTRA$/m));
});

describe('what is refused', () => {
  it.each<[string, string[], number, RegExp]>([
    ['a file that is not there', ['intake', 'gone.csv'], 1, /^gone\.csv: There is no such file/],
    ['a folder', ['intake', 'empty'], 1, /^empty: It is a folder/],
    ['a broken part', ['check', 'broken.kite.json'], 1, /^broken\.kite\.json.*not JSON/],
    ['an empty folder', ['check', 'empty'], 1, /no part file/],
    ['text without a table', ['intake', 'amp.lib'], 1, /^amp\.lib: No pin table/],
    ['a model that is not there', ['match', 'amp.csv', 'amp.lib', '--model', 'NOPE'], 1, /no model "NOPE" in it\. It has AMP1/],
    ['pins without columns', ['match', 'amp.lib', 'amp.lib', '--model', 'AMP1'], 1, /needs the columns number and name/],
    [
      'a pin whose row ends before its number',
      ['match', 'short.csv', 'amp.lib', '--model', 'AMP1'],
      1,
      /^short\.csv, line 3: The pin "B" has no number/,
    ],
    [
      'such a pin behind a cell of two lines',
      ['match', 'broken-cell.csv', 'amp.lib', '--model', 'AMP1'],
      1,
      /^broken-cell\.csv, line 4: The pin "B" has no number/,
    ],
    ['a package that is not there', ['intake', 'multi.csv', '--package', 'QFN-9'], 1, /It has LQFP-64, QFN-48/],
    ['SPICE of a part without a model', ['export', 'good.kite.json', '--to', 'spice', '-o', 'x.lib'], 1, /No model is joined/],
    ['a target nobody knows', ['export', 'good.kite.json', '--to', 'gold', '-o', 'x'], 2, /are known/],
    ['a damaged PDF', ['intake', 'a.pdf'], 1, /^a\.pdf: It is damaged or no PDF/],
    ['a damaged workbook', ['intake', 'a.xlsx'], 1, /^a\.xlsx: (It is damaged or no workbook|No pin table)/],
    ['a workbook that is damaged inside', ['intake', 'b.xlsx'], 1, /^b\.xlsx: It is damaged or no workbook/],
    ['a locked PDF', ['intake', samples('locked.pdf')], 1, /locked\.pdf: It is locked with a password/],
    [
      'a PDF whose table of objects is damaged',
      ['intake', samples('crossed.pdf')],
      1,
      /crossed\.pdf: No pin table was found on its 3 page/,
    ],
    ['a PDF of pictures', ['intake', samples('pictures.pdf')], 1, /pictures\.pdf: Its pages are pictures without text/],
    ['a PDF without a pin table', ['intake', samples('prose.pdf')], 1, /prose\.pdf: No pin table was found on its 1 page/],
    ['a page that is not there', ['intake', demo('TF7311.pdf'), '--page', '9'], 1, /There is no page 9; it has 6/],
    ['a page that is no number', ['intake', demo('TF7311.pdf'), '--page', 'x'], 2, /"x" is no page number/],
    ['a sheet that is not there', ['intake', demo('TF3064.xlsx'), '--sheet', 'X'], 1, /There is no sheet "X"; it has Cover, Pins/],
    ['a difference with nothing', ['diff', 'amp.csv', 'none.csv'], 1, /none\.csv: There is no such file/],
    ['a trial of a part without a model', ['trial', 'good.kite.json'], 1, /No model is joined/],
    ['a trial of an unknown device', ['trial', 'good.kite.json', '--device', 'kite'], 2, /opamp, comparator/],
    ['a trial without its map', ['trial', 'pins.csv', 'amp.lib'], 2, /needs --model NAME and --map MAP/],
    ['a command nobody knows', ['fly'], 2, /unknown command 'fly'/],
    ['no command', [], 2, /Usage|green-kite/],
    ['an option nobody knows', ['intake', 'amp.csv', '--fast'], 2, /unknown option/],
    ['a missing option', ['draft', 'amp.csv'], 2, /required option/],
    ['a missing argument', ['intake'], 2, /missing required argument/],
  ])('%s: the exit code, one line, no stack', (_what, args, code, says) => {
    writeFileSync(at('short.csv'), 'name,number\nA,1\nB\n');
    writeFileSync(at('broken-cell.csv'), 'name,number,note\nA,1,"first\nand second"\nB\n');
    writeFileSync(at('multi.csv'), 'Name,LQFP-64,QFN-48,Type\nA,1,1,I\nB,2,-,I\n');
    writeFileSync(at('a.pdf'), '%PDF-1.7\n');
    writeFileSync(at('a.xlsx'), 'PK\u0003\u0004junk');
    const whole = readFileSync(demo('TF3064.xlsx'));
    writeFileSync(at('b.xlsx'), Buffer.from(whole.map((b, i) => (i % 97 === 60 && i < whole.length - 700 ? b ^ 0x55 : b))));
    const r = run(...args);
    expect(r.code).toBe(code);
    expect(r.err).toMatch(says);
    expect(r.err).not.toMatch(/\n\s+at |Error:/);
    if (code === 1) expect(r.err.trim().split('\n')).toHaveLength(1);
    expect(r.out).toBe('');
  });
});

it('says how it is used', () =>
  expect(run('--help')).toMatchObject({ code: 0, out: expect.stringMatching(/intake.*draft.*check/s) as string }));
