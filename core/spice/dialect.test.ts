import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { decodeText } from '../intake';
import { sayProblem } from '../part';
import { good, refused } from '../test/samples';
import { constantOf, spiceNumber } from './constant';
import { dialectProblems } from './dialect';
import { readModels } from './read-models';
import { rewriteForBerkeley } from './rewrite';

const body = (...lines: string[]) => `.subckt X a b c\n${lines.join('\n')}\n.ends\n`;
const constructs = (text: string) => good(readModels(text)).dialect.map((c) => c.construct);

describe('what the Berkeley form does not have', () => {
  it.each<[string, string, string[]]>([
    ['plain text', body('R1 a b 1k', 'E1 a b c 0 10', 'B1 a b V=ln(V(c))+u(V(a))', 'Q1 a b c QX', '.model QX NPN(BF=1)'), []],
    ['PARAMS:', '.subckt X a b PARAMS: R=1\nR1 a b 1\n.ends', ['PARAMS:']],
    ['bare parameters', '.subckt X a b R=1\nR1 a b 1\n.ends', ['parameters of a subcircuit']],
    ['OPTIONAL: nodes', '.subckt X a b OPTIONAL: d=$G_DPWR\nR1 a b 1\n.ends', ['OPTIONAL: nodes']],
    ['braces', body('R1 a b {2*R0}'), ['an expression in braces']],
    ['quotes', body("R1 a b '2*R0'"), ['an expression in quotes']],
    ['inline comments', body('R1 a b 1k ; the load'), ['a comment with ; or $']],
    ['.macro', '.macro X a b\nR1 a b 1\n.eom', ['.macro and .eom']],
    ['control lines', body('.param R0=1', '.func f(x) {x}'), ['.param', '.func', 'an expression in braces']],
    ['a model type', '.model M1 VDMOS(Vto=1)', ['model type VDMOS']],
    ['AKO:', '.model A D(IS=1f)\n.model B AKO:A D(N=2)', ['AKO: models']],
    ['VSWITCH', '.model S VSWITCH(VON=1 VOFF=0)', ['VSWITCH and ISWITCH models']],
    ['tolerances', '.model R1 RES(R=1 DEV=5%)', ['model type RES', 'DEV and LOT tolerances']],
    ['letters', body('A1 a b c nothing'), ['element letter A']],
    ['digital primitives', body('U1 BUF a b c IO_STD'), ['digital primitives']],
    ['VALUE=', body('E1 a b VALUE={V(c)*2}'), ['an expression in braces', 'VALUE= sources']],
    ['TABLE', body('E1 a b TABLE {V(c)} = (0,0) (1,1)'), ['an expression in braces', 'TABLE sources']],
    ['LAPLACE', body('E1 a b LAPLACE V(c) 1'), ['LAPLACE and FREQ sources']],
    ['POLY', body('E1 a b POLY(1) c 0 0 1'), ['POLY sources, which are of SPICE 2']],
    ['functions', body('B1 a b V=LIMIT(V(c),0,5)'), ['function LIMIT()']],
    ['conditions', body('B1 a b V=V(c)>1 ? 5 : 0'), ['a condition or a logical operator']],
    ['powers', body('B1 a b V=V(c)**2'), ['the power sign **']],
    ['brackets', body('Q1 a b c [s] QX'), ['a substrate node in brackets']],
    ['TC=', body('R1 a b 1k TC=1m'), ['TC= on an element']],
    ['parasitics', body('C1 a b 1u Rser=1'), ['parasitics on an element (RSER=, …)']],
    ['multipliers', body('D1 a b DX M=2'), ['a multiplier (M=)']],
  ])('%s', (_what, text, expected) => expect(constructs(text)).toEqual(expected));
  it('says each kind once, at its first line, with all of its lines', () => {
    const { dialect } = good(readModels(body(...Array.from({ length: 9 }, (_, i) => `R${i} a b {R0}`))));
    const [said, ...more] = dialectProblems(dialect, 'm.lib');
    expect(more).toEqual([]);
    expect(sayProblem(said!)).toMatch(/^m\.lib, line 2: An expression in braces .* \(lines 2, 3, 4, 5, 6, 7 and 3 more\)/);
  });
});

describe('what vendors ship', () => {
  const first = (text: string) => good(readModels(text)).models[0]!;
  const says = (text: string) => good(readModels(text)).problems.map(sayProblem).join(' ');
  it('knows the nodes that an instance may leave out from those that it must have, and from parameters', () => {
    const { nodes, params } = first('.subckt X A Y OPTIONAL: DPWR=$G_DPWR DGND=$G_DGND PARAMS: IO=0\n.ends');
    expect([nodes.map((n) => [n.name, n.otherwise]), params]).toEqual([
      [['A', undefined], ['Y', undefined], ['DPWR', '$G_DPWR'], ['DGND', '$G_DGND']],
      [{ name: 'IO', value: '0' }],
    ]); // prettier-ignore
  });
  it('takes what a model derives from', () => {
    const models = good(readModels('.model A D(IS=1f BV=5 IBV=1m)\n.model B AKO:A D(N=2)\n.model C ako:A')).models;
    expect(models.map((m) => [m.device, m.params.length])).toEqual([
      ['zener', 3],
      ['zener', 4],
      ['zener', 3],
    ]);
  });
  it('knows the section that a model stands in', () => expect(first('.lib TYP\n.subckt X a\n.ends\n.endl').section).toBe('TYP'));
  it('gives name and nodes of a sealed model, and reads on after it', () => {
    const sealed = `* A input\n* B output\n.subckt S A B\n$XENCSTART\n${'0a1b2c3d'.repeat(8)}\nR1 a b 1\n$XENCFINISH\n.ends\n.subckt N c d\nR1 c d 1\n.ends\n`;
    const { models, problems } = good(readModels(sealed));
    expect(models.map((m) => [m.name, m.nodes.map((n) => n.doc), m.sealed ?? false])).toEqual([
      ['S', ['input', 'output'], true],
      ['N', ['', ''], false],
    ]);
    expect(problems.map(sayProblem)).toEqual(['line 4: The text from here on is encrypted: names and nodes can be read, nothing else.']);
  });
  it('gives a model whose end is sealed too', () =>
    expect(first(`.subckt S A B\n${'0a1b2c3d'.repeat(8)}\n${'ffee0011'.repeat(8)}\n`)).toMatchObject({ name: 'S', sealed: true }));
  it.each<[string, string, RegExp]>([
    ['another file', '.include "parts.lib"\n.model D1 D', /names another file, which is not followed/],
    ['a file above', '.lib ../x.lib TT\n.model D1 D', /is never followed or run/],
    ['a file at a root', '.include /etc/passwd\n.model D1 D', /is never followed or run/],
    ['a file of a web server', '.include http://a.example/x.lib\n.model D1 D', /is never followed or run/],
    ['a base that is missing', '.model B AKO:A D(N=2)', /derives from A, which is not in the file/],
    ['a bracket that is never closed', '.model B D(N=2', /bracket that is never closed/],
    ['an end with another name', '.subckt A x\n.ends B', /\.ends B closes \.subckt A/],
  ])('tells of %s', (_what, text, expected) => expect(says(text)).toMatch(expected));
  it('does not read what stands between .control and .endc', () => {
    const { models, problems } = good(readModels('.model D1 D\n.control\nshell rm x\n.model D2 D\n.endc\n.model D3 D'));
    expect([models.map((m) => m.name), problems.length]).toEqual([['D1', 'D3'], 1]);
  });
  it('refuses a saved web page that has a model in it', () =>
    expect(refused(readModels('\n<div></div><body class="x">\n<pre>.subckt A 1\n.ends</pre>'))[0]).toMatch(/web page/));
});

describe('numbers and constants', () => {
  it.each<[string, number | undefined]>([
    ['4.7k', 4700],
    ['1meg', 1e6],
    ['10uF', 10e-6],
    ['2mil', 50.8e-6],
    ['-3m', -3e-3],
    ['1e-3', 1e-3],
    ['k', undefined],
    ['1k2 3', undefined],
  ])('%s', (text, value) =>
    value === undefined ? expect(spiceNumber(text)).toBeUndefined() : expect(spiceNumber(text)).toBeCloseTo(value, 12),
  );
  it.each<[string, number | undefined]>([
    ['1+2*3', 7],
    ['(1+2)*3', 9],
    ['2*R', 20],
    ['-r/4', -2.5],
    ['2**3', 8],
    ['2^3^2', 512],
    ['1k + 1', 1001],
    ['sqrt(4)', undefined],
    ['V(a)', undefined],
    ['1/0', undefined],
    ['2*', undefined],
    ['', undefined],
  ])('%s', (text, value) => expect(constantOf(text, new Map([['r', 10]]))).toBe(value));
});

describe('rewriting for the Berkeley form', () => {
  const rewritten = (text: string, set = {}) => rewriteForBerkeley(text, 'X', set).text;
  it.each<[string, string, string]>([
    ['a comment', body('R1 a b 1k ; load'), body('* load', 'R1 a b 1k')],
    ['.macro', '.macro X a b\nR1 a b 1\n.eom X', '.subckt X a b\nR1 a b 1\n.ends X'],
    ['constants', '.param R0=2k\n.subckt X a b R=3\nR1 a b {R*R0+1}\n.ends', '.subckt X a b\nR1 a b 6001\n.ends'],
    ['a VALUE= source', body('E1 a b VALUE={2*V(c)**2}'), body('BE1 a b V=2*V(c)^2')],
    ['a current source', body("G1 a b VALUE='V(c)/10'"), body('BG1 a b I=V(c)/10')],
    ['names in an expression', '.subckt X a b PARAMS: a=2\nB1 a b V={a*V(a)}\n.ends', '.subckt X a b\nB1 a b V=2*V(a)\n.ends'],
    [
      'braces in an expression',
      '.subckt X a b PARAMS: VT=2\nE1 a b VALUE {MAX(V(a), {VT})}\n.ends',
      '.subckt X a b\nBE1 a b V=MAX(V(a), 2)\n.ends',
    ],
    ['a derived model', '.model A D(IS=1f N=1)\n.model B AKO:A D(N=2)', '.model A D(IS=1f N=1)\n.model B D(IS=1f N=2)'],
    ['a switch', '.model S VSWITCH(VON=3 VOFF=1 RON=2 ROFF=1MEG)', '.model S SW(vt=2 vh=1 ron=2 roff=1000000)'],
  ])('%s', (_what, text, expected) => expect(rewritten(text).trim()).toBe(expected.trim()));
  it('takes the values that are set for the part', () =>
    expect(rewritten('.subckt X a b PARAMS: R=1k\nR1 a b {R}\n.ends', { r: '5k' })).toContain('R1 a b 5000'));
  it.each<[string, string]>([
    ['parameters that an instance passes on', '.subckt I a b R=1\nR1 a b {R}\n.ends\n.subckt X a b\nX1 a b I R=2\n.ends'],
    ['what has no equal', body('B1 a b V={IF(V(c)>1,1,0)}').replace('B1', 'E1').replace('V={', 'TABLE {')],
    ['sealed text', `.subckt X a b\n${'0a1b2c3d'.repeat(8)}\n.ends`],
  ])('leaves %s as it is', (_what, text) => expect(rewritten(text).trim()).toBe(text.trim()));
  it('lists every change with its line', () =>
    expect(rewriteForBerkeley('.subckt X a b PARAMS: R=1k\nR1 a b {R} ; load\n.ends').rewrites).toEqual([
      { line: 1, what: 'the parameters stand where they are used' },
      { line: 2, what: 'an expression is the number that it gives' },
      { line: 2, what: 'a comment has its own line' },
    ]));

  const folder = resolve(__dirname, '../../bench/corpus/models');
  const files = readdirSync(folder).filter((f) => f.endsWith('.lib'));
  it.each(files)('of %s keeps its models and nodes, and once is enough', (file) => {
    const text = decodeText(readFileSync(resolve(folder, file)));
    const once = rewriteForBerkeley(text);
    const shape = (source: string) => good(readModels(source)).models.map((m) => [m.name, m.kind, m.device, m.nodes.map((n) => n.name)]);
    expect(shape(once.text)).toEqual(shape(text));
    expect(rewriteForBerkeley(once.text).rewrites).toEqual([]);
  });
});
