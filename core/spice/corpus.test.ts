import { good } from '../test/samples';
import { matchPins, readModels, type MatchPin } from '.';

/**
 * Matching tasks as they come: an invented part's pins, a model file as makers write them, and the pairs that a person
 * finds. A pin in `asks` must be asked and may not be paired; a pair that is not named here is wrong.
 */
interface Task {
  name: string;
  /** number name type unit, one a line; unit `-` for pins of every unit. */
  pins: string;
  model: string;
  /** unit:pin=node */
  pairs: string;
  asks?: string;
}

const TASKS: Task[] = [
  {
    name: 'a single amplifier with a ladder',
    pins: `
      1 OUT output -
      2 V- supply-in -
      3 IN+ input -
      4 IN- input -
      5 V+ supply-in -`,
    model: `
* TF0101 operational amplifier
*
* Node assignments
*                non-inverting input
*                |  inverting input
*                |  |  positive supply
*                |  |  |  negative supply
*                |  |  |  |  output
*                |  |  |  |  |
.SUBCKT TF0101   1  2  99 50 39
R1 1 2 10MEG
.ENDS`,
    pairs: '1=39 2=50 3=1 4=2 5=99',
  },
  {
    name: 'a dual amplifier with a one-channel model',
    pins: `
      1 OUTA output A
      2 INA- input A
      3 INA+ input A
      4 VSS ground -
      5 INB+ input B
      6 INB- input B
      7 OUTB output B
      8 VDD supply-in -`,
    model: `
.subckt AMP inp inn vdd vss out
* inp: positive input
* inn: negative input
R1 inp inn 1meg
.ends`,
    pairs: 'A:1=out A:2=inn A:3=inp A:4=vss A:8=vdd B:4=vss B:5=inp B:6=inn B:7=out B:8=vdd',
  },
  {
    name: 'a dual amplifier whose model has both channels',
    pins: `
      1 OUT1 output A
      2 IN1- input A
      3 IN1+ input A
      4 VEE supply-in -
      5 IN2+ input B
      6 IN2- input B
      7 OUT2 output B
      8 VCC supply-in -`,
    model: `
.subckt DUAL OUT1 IN1- IN1+ VEE IN2+ IN2- OUT2 VCC
R1 IN1+ IN1- 1meg
.ends`,
    pairs: '1=OUT1 2=IN1- 3=IN1+ 4=VEE 5=IN2+ 6=IN2- 7=OUT2 8=VCC',
  },
  {
    name: 'a MOSFET in the order of its maker',
    pins: `
      1 G input -
      2 D passive -
      3 S passive -`,
    model: `
* N-channel MOSFET
* 1=D 2=G 3=S
.SUBCKT TF0201 1 2 3
M1 1 2 3 3 MX
.model MX NMOS(VTO=1)
.ENDS`,
    pairs: '1=2 2=1 3=3',
  },
  {
    name: 'a diode card',
    pins: `
      1 K passive -
      2 A passive -`,
    model: '.model D1 D(IS=1f)',
    pairs: '1=cathode 2=anode',
  },
  {
    name: 'a transistor card',
    pins: `
      1 B passive -
      2 E passive -
      3 C passive -`,
    model: '.model Q1 NPN(BF=200)',
    pairs: '1=base 2=emitter 3=collector',
  },
  {
    name: 'a regulator with an exposed pad and a pin left out',
    pins: `
      1 OUT supply-out -
      2 FB input -
      3 GND ground -
      4 EN input -
      5 NC no-connect -
      6 IN supply-in -
      EP EP ground -`,
    model: `
* LDO regulator
* Pins: IN GND EN FB OUT
.subckt LDO a b c d e
R1 a b 1k
.ends`,
    pairs: '1=e 2=d 3=b 4=c 6=a',
  },
  {
    name: 'a comparator with its output in words',
    pins: `
      1 OUT open-drain -
      2 GND ground -
      3 + input -
      4 - input -
      5 VCC supply-in -`,
    model: `
* comparator
* connections: non-inverting input
*              |   inverting input
*              |   |   positive supply
*              |   |   |   ground
*              |   |   |   |   open-collector output
*              |   |   |   |   |
.subckt CMP    10  20  30  40  50
R1 10 20 1meg
.ends`,
    pairs: '1=50 2=40 3=10 4=20 5=30',
  },
  {
    name: 'a model of bare numbers',
    pins: `
      1 IN input -
      2 OUT output -
      3 GND ground -`,
    model: '.subckt X 1 2 3\nR1 1 2 1k\n.ends',
    pairs: '',
    asks: '1 2 3',
  },
  {
    name: 'several grounds on one node',
    pins: `
      1 VIN supply-in -
      2 GND ground -
      3 GND ground -
      4 VOUT supply-out -
      5 GND ground -`,
    model: '.subckt REG VIN GND VOUT\nR1 VIN GND 1k\n.ends',
    pairs: '1=VIN 2=GND 3=GND 4=VOUT 5=GND',
  },
  {
    name: 'an isolator, whose grounds are two',
    pins: `
      1 VDD1 supply-in -
      2 GND1 ground -
      3 IN input -
      6 OUT output -
      7 GND2 ground -
      8 VDD2 supply-in -`,
    model: `
* digital isolator
.subckt ISO in out vdd1 gnd1 vdd2 gnd2
R1 in gnd1 1meg
.ends`,
    pairs: '1=vdd1 2=gnd1 3=in 6=out 7=gnd2 8=vdd2',
  },
  {
    name: 'a gate driver by the words of its comments',
    pins: `
      1 VDD supply-in -
      2 HI input -
      3 LI input -
      4 COM ground -
      5 LO output -
      6 HS passive -
      7 HO output -
      8 HB passive -`,
    model: `
.subckt DRV vdd hi li com lo hs ho hb
R1 hi com 100k
.ends`,
    pairs: '1=vdd 2=hi 3=li 4=com 5=lo 6=hs 7=ho 8=hb',
  },
  {
    name: 'an analog switch with a control input',
    pins: `
      1 COM passive -
      2 NO passive -
      3 GND ground -
      4 IN input -
      5 V+ supply-in -`,
    model: `
* analog switch
* NO  = normally open terminal
* COM = common terminal
* IN  = control input
* VP  = positive supply
* GND = ground
.subckt SW1 NO COM IN VP GND
R1 NO COM 1g
.ends`,
    pairs: '1=COM 2=NO 3=GND 4=IN 5=VP',
  },
  {
    name: 'a quad gate by letters',
    pins: `
      1 1A input A
      2 1B input A
      3 1Y output A
      4 2A input B
      5 2B input B
      6 2Y output B
      7 GND ground -
      14 VCC supply-in -`,
    model: '.subckt NAND A B Y VCC GND\nR1 A GND 1meg\n.ends',
    pairs: 'A:1=A A:2=B A:3=Y A:7=GND A:14=VCC B:4=A B:5=B B:6=Y B:7=GND B:14=VCC',
  },
];

const pinsOf = (text: string): MatchPin[] =>
  text
    .trim()
    .split('\n')
    .map((line) => {
      const [number = '', name = '', type = '', unit = '-'] = line.trim().split(/\s+/);
      return { number, name, type: type as MatchPin['type'], unit: unit === '-' ? null : unit };
    });

describe.each(TASKS)('$name', ({ pins, model, pairs, asks = '' }) => {
  const nodes = good(readModels(model)).models.find((m) => m.inside.length === 0)!.nodes;
  const matched = matchPins(pinsOf(pins), nodes);
  const expected = pairs.split(' ').filter(Boolean);
  it('pairs what a person would, and nothing else', () =>
    expect(matched.pairs.map((p) => `${p.unit === null ? '' : `${p.unit}:`}${p.pin}=${p.node}`).sort()).toEqual(expected.sort()));
  it('asks where nothing can be known', () => expect(matched.asks.map((a) => a.pin)).toEqual(asks.split(' ').filter(Boolean)));
  it('gives each pair its evidence', () => {
    for (const p of matched.pairs) {
      expect(p.because).not.toBe('');
      expect(p.confidence).toBeGreaterThanOrEqual(0.6);
    }
  });
});
