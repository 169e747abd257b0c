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

beforeAll(() => {
  const stale = spawnSync('node', ['bin/stale', 'dist/cli/green-kite.mjs', 'core', 'cli'], { cwd: root }).status === 0;
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
      number: '3',
      name: 'IN1+',
      type: 'input',
      description: 'Non-inverting input of amplifier 1',
      origin: { line: 4 },
      doubts: [],
    });
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

describe('what is refused', () => {
  it.each<[string, string[], number, RegExp]>([
    ['a file that is not there', ['intake', 'gone.csv'], 1, /^gone\.csv: There is no such file/],
    ['a folder', ['intake', 'empty'], 1, /^empty: It is a folder/],
    ['a broken part', ['check', 'broken.kite.json'], 1, /^broken\.kite\.json.*not JSON/],
    ['an empty folder', ['check', 'empty'], 1, /no part file/],
    ['text without a table', ['intake', 'amp.lib'], 1, /^amp\.lib: No pin table/],
    ['a model that is not there', ['match', 'amp.csv', 'amp.lib', '--model', 'NOPE'], 1, /no model "NOPE" in it\. It has AMP1/],
    ['pins without columns', ['match', 'amp.lib', 'amp.lib', '--model', 'AMP1'], 1, /needs the columns number and name/],
    ['a package that is not there', ['intake', 'multi.csv', '--package', 'QFN-9'], 1, /It has LQFP-64, QFN-48/],
    ['SPICE of a part without a model', ['export', 'good.kite.json', '--to', 'spice', '-o', 'x.lib'], 1, /No model is joined/],
    ['a target that comes later', ['export', 'good.kite.json', '--to', 'edif', '-o', 'x'], 2, /edif is not written yet/],
    ['a target nobody knows', ['export', 'good.kite.json', '--to', 'gold', '-o', 'x'], 2, /are known/],
    ['a source that comes later', ['intake', 'a.pdf'], 2, /PDF files are not read yet/],
    ['diff', ['diff', 'a', 'b'], 2, /diff comes in a later version/],
    ['trial', ['trial', 'good.kite.json', '--model', 'X'], 2, /trial comes in a later version/],
    ['a command nobody knows', ['fly'], 2, /unknown command 'fly'/],
    ['no command', [], 2, /Usage|green-kite/],
    ['an option nobody knows', ['intake', 'amp.csv', '--fast'], 2, /unknown option/],
    ['a missing option', ['draft', 'amp.csv'], 2, /required option/],
    ['a missing argument', ['intake'], 2, /missing required argument/],
  ])('%s: the exit code, one line, no stack', (_what, args, code, says) => {
    writeFileSync(at('multi.csv'), 'Name,LQFP-64,QFN-48,Type\nA,1,1,I\nB,2,-,I\n');
    writeFileSync(at('a.pdf'), '%PDF-1.7\n');
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
