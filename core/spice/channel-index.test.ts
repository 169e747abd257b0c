import { namesInChannels, wordsInChannels } from './channel-index';
import { matchPins } from './match';
import type { ElectricalType } from '../part';

const told = (read: ReturnType<typeof namesInChannels>) => read?.map((r) => (r ? `${r.channel} ${r.base}` : '-'));

it.each<[string, string[] | undefined]>([
  ['1A 1Y 2A 2Y VCC', ['1 A', '1 Y', '2 A', '2 Y', '-']],
  ['IN1+ IN1- IN2+ IN2- V+', ['1 IN+', '1 IN-', '2 IN+', '2 IN-', '-']],
  ['IN+1 OUT1 IN+2 OUT2', ['1 IN+', '1 OUT', '2 IN+', '2 OUT']],
  ['IN_A+ OUT_A IN_B+ OUT_B', ['1 IN+', '1 OUT', '2 IN+', '2 OUT']],
  ['+INA OUTA +INB OUTB', ['1 +IN', '1 OUT', '2 +IN', '2 OUT']],
  ['IN1 OUT1 IN3 OUT3', undefined],
  ['IN1 OUT1 IN2', undefined],
  ['S1 S2 S3 D', undefined],
])('the names %s are in channels as %j', (names, channels) => expect(told(namesInChannels(names.split(' ')))).toEqual(channels));

it.each<[string, string[] | undefined]>([
  ['channel 1 drain|channel 1 gate|channel 2 drain|channel 2 gate', ['1 drain', '1 gate', '2 drain', '2 gate']],
  ['drain of channel A|gate of channel A|drain of channel B|gate of channel B', ['1 drain', '1 gate', '2 drain', '2 gate']],
  ['first drain|first gate|second drain|second gate', ['1 drain', '1 gate', '2 drain', '2 gate']],
  ['input 1|output 1|input 2|output 2|supply', ['1 input', '1 output', '2 input', '2 output', '-']],
  ['input 1|input 2|output', undefined],
])('the comments %s are in channels as %j', (docs, channels) => expect(told(wordsInChannels(docs.split('|')))).toEqual(channels));

const pin = (number: number, name: string, type: ElectricalType = 'passive') => ({ number: String(number), name, type, unit: null });
const nodesOf = (docs: string[]) => docs.map((doc, i) => ({ name: String(i + 1), doc, docLine: 1 }));

describe('a model of all channels', () => {
  const leads = ['A', 'K', 'C', 'E'];
  const words = ['anode', 'cathode', 'collector', 'emitter'];
  const pins = [1, 2].flatMap((channel) => leads.map((lead, i) => pin(4 * (channel - 1) + i + 1, `${channel}${lead}`)));
  const docs = [2, 1].flatMap((channel) => words.map((word) => `channel ${channel} ${word}`));
  it('has a collector and a cathode in each, which the letter C could be', () =>
    expect(matchPins(pins, nodesOf(docs)).pairs.map((p) => `${p.pin}=${p.node}`)).toEqual([
      '1=5',
      '2=6',
      '3=7',
      '4=8',
      '5=1',
      '6=2',
      '7=3',
      '8=4',
    ]));
  it('is read where one channel lacks a terminal', () => {
    const { pairs, asks } = matchPins(pins.slice(1), nodesOf(docs));
    expect(pairs.map((p) => `${p.pin}=${p.node}`)).toEqual(['2=6', '3=7', '4=8', '5=1', '6=2', '7=3', '8=4']);
    expect(asks).toEqual([]);
  });
  it('is not read by its channels where what is matched says otherwise', () => {
    const pairs = matchPins([pin(1, 'IN1', 'input'), pin(2, 'OUT1', 'output'), pin(3, 'IN2', 'input'), pin(4, 'OUT2', 'output')], nodesOf(['OUT1', 'IN2', 'OUT2', 'IN1'])).pairs; // prettier-ignore
    expect(pairs.map((p) => `${p.pin}=${p.node}`)).toEqual(['1=4', '2=1', '3=2', '4=3']);
  });
});
