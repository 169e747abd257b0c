import { engineExpression } from './expression';
import { forEngine } from './for-engine';
import { polynomial } from './polynomial';

describe('a polynomial of SPICE 2 as an expression', () => {
  it.each<[number, string, 'voltages' | 'currents', string | undefined]>([
    [1, 'a 0 2', 'voltages', '(2)*v(a,0)'],
    [1, '(a,b) 1 2 3', 'voltages', '(1)+(2)*v(a,b)+(3)*v(a,b)*v(a,b)'],
    [2, '(3,0) (4,0) 0 .5 .5', 'voltages', '(.5)*v(3,0)+(.5)*v(4,0)'],
    [2, 'a 0 b 0 0 0 0 1 2 3', 'voltages', '(1)*v(a,0)*v(a,0)+(2)*v(a,0)*v(b,0)+(3)*v(b,0)*v(b,0)'],
    [3, 'VA VB VC 0 0 0 0 0 0 0 0 5', 'currents', '(5)*i(VB)*i(VC)'],
    [1, 'VA 0 0 0 4', 'currents', '(4)*i(VA)*i(VA)*i(VA)'],
    [2, 'VA VB 0 1E6 -1E6', 'currents', '(1E6)*i(VA)+(-1E6)*i(VB)'],
    [1, 'a 0 0', 'voltages', '0'],
    [2, 'a 0', 'voltages', undefined],
    [0, 'a 0 1', 'voltages', undefined],
  ])('POLY(%s) %s', (n, rest, by, expected) => expect(polynomial(n, rest, by)).toBe(expected));
});

describe('an expression in the engine’s words', () => {
  it.each([
    ['IF(V(a)>1, 2, 3)', '((V(a)>1) ? (2) : (3))'],
    ['if(V(a,b) > 1 & I(V1) < 2, IF(1,2,3), 0)', '((V(a,b) > 1 && I(V1) < 2) ? (((1) ? (2) : (3))) : (0))'],
    ['LIMIT(V(x), -1, 1)*2', 'min(max((V(x)),(-1)),(1))*2'],
    ['PWR(V(a),2)+PWRS(V(a),2)', 'pow(abs(V(a)),(2))+pwr((V(a)),(2))'],
    ['TABLE(V(a), 0,0, 1,2)', 'pwl(min(max((V(a)),(0)),(1)), 0, 0, 1, 2)'],
    ['STP(V(a)-1)', 'u(V(a)-1)'],
    ['~(V(a)>1) | V(b)**2', '!(V(a)>1) || V(b)^2'],
    ['1+0.01*(TEMP-27)', '1+0.01*(temper-27)'],
    ['V(TEMP)', 'V(TEMP)'],
    ['TEMP*2', 'temper*2'],
    ['sin(V(a', 'sin(V(a))'],
    ['LIMIT(1,2)', 'LIMIT(1, 2)'],
  ])('%s', (text, expected) => expect(engineExpression(text)).toBe(expected));
});

describe('a model’s text as the engine takes it', () => {
  it.each([
    ['EGND 99 0 POLY(2) (3,0) (4,0) 0 .5 .5', 'BEGND 99 0 V=(.5)*v(3,0)+(.5)*v(4,0)'],
    ['G1 a b POLY(1) c 0 0 2m', 'BG1 a b I=(2m)*v(c,0)'],
    ['E1 a 0 TABLE {V(b)} = (0,0) (1,2)', 'BE1 a 0 V=pwl(min(max((V(b)),(0)),(1)), 0, 0, 1, 2)'],
    ['G1 a 0 TABLE {V(b,c)} ((-1,-2m) (1,2m))', 'BG1 a 0 I=pwl(min(max((V(b,c)),(-1)),(1)), -1, -2m, 1, 2m)'],
    ['E1 a 0 VALUE = {IF(V(b)>1,5,0)}', "E1 a 0 vol='((V(b)>1) ? (5) : (0))'"],
    ['G1 a 0 VALUE={V(b)*k}', "G1 a 0 cur='V(b)*k'"],
    ['E1 a 0 LAPLACE {V(b)} = {2/(1+s*1u)}', 'BE1 a 0 V=(V(b))*(2/(1+0*1u))'],
    ['B1 a 0 V={IF(V(b)>1,5,0)}', 'B1 a 0 V=((V(b)>1) ? (5) : (0))'],
    ['E1 a 0 b 0 1e5', 'E1 a 0 b 0 1e5'],
    ['E1 a 0 POLY(2) b 0', 'E1 a 0 POLY(2) b 0'],
    ['L1 a b 1u Rser=1m Rpar=1k', 'L1 a b 1u'],
    ['R1 a b 1k TC=1m,2u', 'R1 a b 1k tc1=1m tc2=2u'],
    ['.params k = 2', '.param k=2'],
    ['X1 a b SUB PARAMS: k={2*j}', 'X1 a b SUB k={2*j}'],
  ])('%s', (text, expected) => expect(forEngine(text)).toBe(expected));
  it('writes derived models out, and leaves tolerances and unknown parameters off', () =>
    expect(forEngine('.model A D(IS=1e-14 DEV=5% RS=2 Vpk=75 mfg=Foo)\n.model B AKO:A D(RS=3)')).toBe(
      '.model A D(IS=1e-14 RS=2)\n.model B D(IS=1e-14 RS=3)',
    ));
  it('names optional nodes in the header and in every instance that leaves them out', () =>
    expect(forEngine('.subckt S a b OPTIONAL: g=0 h=$G PARAMS: k=1\nR1 a g {k}\n.ends\nX1 p q S\nX2 p q r S k=2')).toBe(
      '.subckt S a b g h k=1\nR1 a g {k}\n.ends\nX1 p q 0 $G S\nX2 p q r $G S k=2',
    ));
  it('says a smooth switch as a current whose resistance goes along the cubic of its model', () => {
    const text = forEngine('S1 a b c 0 SX\n.model SX VSWITCH(RON=1 ROFF=1MEG VON=2 VOFF=1)');
    expect(text).toMatch(/^BS1 a b I=v\(a,b\)\*exp\(-\(ln\(sqrt\(\(1\)\*\(1000000\)\)\)/);
    expect(text).not.toContain('.model');
  });
  it('keeps Berkeley’s own switch', () =>
    expect(forEngine('S1 a b c 0 SX\n.model SX SW(RON=1 VT=2)')).toBe('S1 a b c 0 SX\n.model SX SW(RON=1 VT=2)'));
  it('keeps a node GND of a subcircuit apart from node 0', () =>
    expect(forEngine('.subckt S a gnd\nB1 a GND V=V(a,gnd)\nRgnd a GND 1k\n.ends\n.subckt T a b\nR1 a gnd 1\n.ends')).toBe(
      '.subckt S a gnd_own\nB1 a gnd_own V=V(a,gnd_own)\nRgnd a gnd_own 1k\n.ends\n.subckt T a b\nR1 a gnd 1\n.ends',
    ));
});
