import { byNumber, good, read } from '../../test/samples';
import { readSheets, readText, terminalsIn, type ReadOptions } from '..';

/** `number name` of each terminal, with its group where the wanted ones have theirs. */
const told = (text: string, withGroup = false): string[] =>
  terminalsIn(read(text)).map((t) => [Object.values(t.numbers)[0], t.name, withGroup ? t.group : ''].filter(Boolean).join(' '));

it.each<[string, string, string[]]>([
  ['a net beside a name is what the board calls it', 'Pin No.,Net,Label\n1,RX_MCU,TXD\n2,TX_MCU,RXD\n3,,GND', ['1 TXD', '2 RXD', '3 GND']],
  ['a net alone is the name', 'Pin No.,Net,Comment\n1,TXD,out\n2,RXD,in\n3,GND,ground', ['1 TXD', '2 RXD', '3 GND']],
  ['a net beside ports in capitals', 'Pin,Port,Net,Use\n1,TXD,N1,out\n2,RXD,N2,in\n3,GND,,ground', ['1 TXD', '2 RXD', '3 GND']],
  ['banks beside groups group nothing', 'Pin,Name,Bank,Group\n1,TXD,0,Serial\n2,RXD,1,Serial\n3,VDD,2,Power', ['1 TXD Serial', '2 RXD Serial', '3 VDD Power']],
  ['banks alone are groups', 'Pin,Name,Bank\n1,TXD,0\n2,RXD,1\n3,VDD,0', ['1 TXD 0', '2 RXD 1', '3 VDD 0']],
  ['titles go before banks', 'Pin,Name,Bank,Type\nSerial port\n1,TXD,0,O\n2,RXD,1,I\nPower\n3,VDD,0,P', ['1 TXD Serial port', '2 RXD Serial port', '3 VDD Power']],
  ['names as programs write them', 'pinNumber,signalName,direction\n1,TXD,output\n2,RXD,input', ['1 TXD', '2 RXD']],
  ['names of functions', 'Package pin;Function name;Function\n1;TXD;Data to the host\n2;RXD;Data from the host', ['1 TXD', '2 RXD']],
  ['numbers that count up', 'Lead|Symbol|Text\n1.|TXD|Data to the host\n2.|RXD|Data from the host\n3.|GND|Ground', ['1 TXD', '2 RXD', '3 GND']],
  ['balls in small letters', 'Ball,Pin label,Use\na1,TXD,Data out\na2,RXD,Data in\nb1,GND,Ground\nb2,VDD,Supply', ['a1 TXD', 'a2 RXD', 'b1 GND', 'b2 VDD']],
  ['what is to be filled in below a heading', 'Pin,Name,Type,Group\n(number),(text),(I/O),\n1,TXD,O,Serial\n2,RXD,I,\n3,VDD,P,Power', ['1 TXD Serial', '2 RXD Serial', '3 VDD Power']],
  ['many columns that nobody knows', 'Ball No.,Pin name,Die pad X,Color,Info\nA1,TXD,120.5,red,Data out\nB2,RXD,-340,,Data in', ['A1 TXD', 'B2 RXD']],
  ['quantities beside terminals', 'PIN,Name,Qty,How to connect\n1,TXD,1,To the host\n2,RXD,1,From the host', ['1 TXD', '2 RXD']],
  ['a heading over both', 'Pin/Ball,Status,Ball name\n1,ok,TXD\n2,,RXD\n3,open,GND', ['1 TXD', '2 RXD', '3 GND']],
  ['numbers that count up after a blank line', 'Pin,Name,Use\n1.,TXD,out\n2.,RXD,in\n\n3.,GND,ground', ['1 TXD', '2 RXD', '3 GND']],
  ['a list whose end stands alone below it', 'Pin,Name,Use\n"9, 10,",VSS,Ground\n12-13,,\n11,TM,Test', ['9 VSS', '10 VSS', '12 VSS', '13 VSS', '11 TM']],
  ['a part of a package name in a row', 'PIN_NO,Name,I/O\n7.,CE,IN\n8.,SIP,IN\n9.,SOP,OUT', ['7 CE', '8 SIP', '9 SOP']],
  ['a name that is missing', 'Pin|Name|Type\n1|VDD|P\n2||I\n3|OUT|O', ['1 VDD', '2 2', '3 OUT']],
  ['a first cell that is empty between bars', 'Group|Pin|Name\nSerial|1|TXD\n|2|RXD\nPower|3|VDD\n|4|GND', ['1 TXD Serial', '2 RXD Serial', '3 VDD Power', '4 GND Power']],
  ['names like balls beside packages', 'Signal,QFN8,BGA9,Use\nAD0,1,A1,in\nAD1,2,A2,in\nAD2,3,A3,in\nAD3,4,B1,in', ['1 AD0', '2 AD1', '3 AD2', '4 AD3']],
  ['cells in quotes between bars', '"Pin"|"Name"|"Use"\n"1"|"TXD"|"Data | clock"\n"2"|"RXD"|"Data in"', ['1 TXD', '2 RXD']],
])('%s', (_case, text, want) => expect(told(text, want[0]!.split(' ').length > 2)).toEqual(want)); // prettier-ignore

it('takes names apart from the types behind them where the heading is of both', () => {
  const { terminals } = read('Pin|Signal Dir.|Use\n1|TXD Output|Data out\n2|RXD Input|Data in\n3|VDD Power|Supply');
  expect(terminals.map((t) => `${t.name} ${t.type}`)).toEqual(['TXD output', 'RXD input', 'VDD supply-in']);
});

it('calls a group by its title, not by the number before it', () => {
  const { terminals } = read('Pin,Name,Type,Use\n4.2 Serial port\n1,TXD,O,out\n2,RXD,I,in\nTable 7. Power\n3,VDD,P,supply');
  expect(terminals.map((t) => t.group)).toEqual(['Serial port', 'Serial port', 'Power']);
  const supplies = read('Pin,Name,Type,Use\n3.3 V supplies\n1,VDD,P,supply\n2,VIO,P,supply\n1.8 V core\n3,VC,P,supply').terminals;
  expect(supplies.map((t) => t.group)).toEqual(['3.3 V supplies', '3.3 V supplies', '1.8 V core']);
});

it.each([
  ['a name with words that go on in the next column', 'GPIO0 General', 'purpose input', 'may hold a cell of the next column'],
  ['a list that goes on nowhere', 'GPIO0', 'Port', 'ends as if it went on'],
])('asks %s', (_case, name, words, reason) => {
  const { terminals } = read(`Pin|Name|Use\n1|VDD|Supply\n2${reason.startsWith('ends') ? ',' : ''}|${name}|${words}\n3|GND|Ground`);
  expect(terminals[1]!.doubts.map((d) => d.reason).join()).toContain(reason);
  expect(terminals[0]!.doubts).toEqual([]);
});

it('takes a category of codes for the type where nothing else is one', () => {
  const { terminals } = read('Pin,Name,Pin category,Block\n1,TXD,Output,Serial\n2,RXD,Input,Serial\n3,VDD,Power,Supply');
  expect(terminals.map((t) => `${t.type} ${t.group}`)).toEqual(['output Serial', 'input Serial', 'supply-in Supply']);
});

it.each<[string, string, string[]]>([
  ['the circuit of the pad tells less than the direction', 'Pin,Pad type,Name,Electrical type\n1,B,GHA,Output\n2,FT,SOA,Input', ['output', 'input']],
  ['a class of revisions is none of types', 'Pin,Rev,Name,Input/Output\n1,A,GHA,Output\n2,B,SOA,Input\n3,B,FLT,Open drain', ['output', 'input', 'open-drain']],
  ['crosses are marks', 'Pin,Checked,Name,Electrical type\n1,x,GHA,Output\n2,,SOA,Input\n3,x,VDD,Power', ['output', 'input', 'supply-in']],
])('%s', (_case, text, want) => expect(read(text).terminals.map((t) => t.type)).toEqual(want)); // prettier-ignore

it('asks whether a reference in a class of power comes in', () => {
  const [vref, vdd] = read('Pin,Name,Type\n1,VREF,Power\n2,VDD,Power').terminals;
  expect([vref, vdd].map((t) => t!.doubts.map((d) => d.field))).toEqual([['type'], []]);
});

it('takes a second heading row with a column AF1 for a heading', () => {
  const { packages } = read('Group,Pin,,Label,AF1\n,SOIC,TSSOP-28,,\nSerial,1,1,TXD,\n,2,3,RXD,ADC_IN3\nPower,3,2,VDD,\n,4,4,GND,');
  expect(packages).toEqual([{ name: 'SOIC', pinCount: 4 }, { name: 'TSSOP-28', pinCount: 4 }]); // prettier-ignore
});

it('puts halves side by side under each other whatever packages they name', () =>
  expect(told('QFN,TSSOP,Name,QFN,TSSOP,Name\n1,1,TXD,3,,VDD\n2,–,RXD,4,2,GND\n\nAll grounds are one.')).toEqual([
    '1 TXD',
    '2 RXD',
    '3 VDD',
    '4 GND',
  ]));

it('asks nothing of a minus beside its plus, and of a name that lost its end', () => {
  const terminals = read('Pin,Name,Type\n1,EXC+,O\n"2, 5, 6",EXC–,G\n"3, 4",GPIO0–,IO').terminals;
  expect(terminals.filter((t) => t.doubts.some((d) => d.field === 'name')).map((t) => t.name)).toEqual(['GPIO0–', 'GPIO0–']);
});

it('takes rules of a drawn table for no end of it', () => {
  const rule = '+----+-----+\n';
  const text = `${rule}| No. | Name |\n${rule}${rule}| Serial |\n${rule}| 1. | TXD |\n${rule}${rule}| Power |\n${rule}| 2. | VDD |\n${rule}`;
  expect(told(text, true)).toEqual(['1 TXD Serial', '2 VDD Power']);
});

describe('several tables of one pinout', () => {
  const SIGNALS = ['Pin,Name,Type,Description', '1,TXD,O,Data out', '2,RXD,I,Data in', '3,CLK,I,Clock'];
  const text = (...tables: string[][]) => tables.map((t) => t.join('\n')).join('\n\n');

  it.each<[string, string[], string[]]>([
    ['supplies without a type', ['Pin,Name,Description', '4,VDD,Supply', '5,GND,Ground'], ['TXD', 'RXD', 'CLK', 'VDD', 'GND']],
    ['columns in another order', ['Name,Pins,Function', 'VDD,4,Supply', 'GND,"5, 6",Ground'], ['TXD', 'RXD', 'CLK', 'VDD', 'GND', 'GND']],
    ['numbers that are taken', ['Pin,Name,Net', '1,J1,RX', '2,J2,TX'], ['TXD', 'RXD', 'CLK']],
    ['test points beside figures', ['Pad,Name,Net', 'A1,TP1,RX', 'A2,TP2,TX'], ['TXD', 'RXD', 'CLK']],
  ])('%s', (_case, other, want) => expect(read(text(SIGNALS, other)).terminals.map((t) => t.name)).toEqual(want));

  describe('a person chooses', () => {
    const SUPPLIES = ['Supplies:', 'Pin,Net,Remarks', '4,VDD,Main supply', '5,VSS,Return'];
    const both = text(SIGNALS, SUPPLIES);

    it('among them in the order of the source, each with its caption and what its columns are', () =>
      expect(read(both).tables!.map((t) => [t.title, t.rows, t.taken, t.columns!.map((c) => c.role).join(' ')])).toEqual([
        ['Pin, Name, Type, Description', 4, true, 'number name type description'],
        ['Supplies', 2, true, 'number name description'],
      ]));

    it.each<[string, ReadOptions, string[]]>([
      ['all that go together', {}, ['TXD', 'RXD', 'CLK', 'VDD', 'VSS']],
      ['one of them', { tables: [1] }, ['VDD', 'VSS']],
      ['both', { tables: [0, 1] }, ['TXD', 'RXD', 'CLK', 'VDD', 'VSS']],
      [
        'other names in the second',
        { tableRoles: { 1: ['number', 'description', 'name'] } },
        ['TXD', 'RXD', 'CLK', 'Main supply', 'Return'],
      ],
      ['other names in the first', { roles: ['number', 'description', 'type', 'name'] }, ['Data out', 'Data in', 'Clock', 'VDD', 'VSS']],
    ])('%s', (_case, options, names) => {
      const { terminals, tables } = good(readText(both, options));
      expect(terminals.map((t) => t.name)).toEqual(names);
      expect(tables!.map((t) => t.taken)).toEqual([0, 1].map((i) => options.tables?.includes(i) ?? true));
    });

    it('none that is not there', () =>
      expect(readText(both, { tables: [] })).toMatchObject({ ok: false, problems: [{ code: 'table-none' }] }));

    it('of a workbook in the same way', () => {
      const cells = both
        .split('\n')
        .flatMap((line, row) => (line === '' ? [] : line.split(',').map((cell, col) => ({ row, col, text: cell }))));
      const sheet = { name: 'Pins', cells, merges: [] };
      const { tables } = good(readSheets([sheet, { ...sheet, name: 'Notes', cells: [] }]));
      expect(tables!.map((t) => [t.title, t.sheet, t.rows])).toEqual([
        ['Pin, Name, Type, Description', 'Pins', 4],
        ['Supplies', 'Pins', 2],
      ]);
      const { terminals } = good(readSheets([sheet], { tableRoles: { 1: ['number', 'description', 'name'] } }));
      expect(terminals.map((t) => t.name)).toEqual(['TXD', 'RXD', 'CLK', 'Main supply', 'Return']);
    });
  });

  it('says which has some of the numbers again and others that are open', () => {
    const { terminals, problems } = read(text(SIGNALS, ['Pin,Net', '3,SCK', '4,VIO', '5,GND']));
    expect([terminals.length, problems.map((p) => [p.code, p.params['again'], p.params['terminals']])]).toEqual([
      3,
      [['table-overlaps', 1, 3]],
    ]);
  });

  it('says that the first rows of a ball grid are missing', () => {
    const of = (balls: string[]) => read(`Ball,Name\n${balls.map((b, i) => `${b},N${i}`).join('\n')}`).problems.map((p) => p.code);
    expect(of(['C1', 'C2', 'D1', 'E1'])).toEqual(['rows-first']);
    expect(of(['A1', 'A2', 'D1', 'E1'])).toEqual([]);
    expect(of(['C1', 'C2', 'D1'])).toEqual([]);
  });

  it('says what is missing between them', () => {
    const { problems } = read(text(SIGNALS, ['Pin,Name,Description', '5,VDD,Supply', '6,GND,Ground']));
    expect(problems.map((p) => p.code)).toEqual(['number-gap']);
  });

  it('reads them between bars', () => {
    const bars = ['## Signals', '', '| Pin | Name | Type |', '|---|---|---|', '| 1 | TXD | O |', '| 2 | RXD | I |', '', '## Supplies', ''];
    const proposal = read([...bars, '| Name | Pin |', '|---|---|', '| VDD | 3 |', '| GND | 4 |'].join('\n'));
    expect(byNumber(proposal)['3']!.name).toBe('VDD');
  });
});
