import fc from 'fast-check';
import { sayProblem } from '../../part';
import { good, refused } from '../../test/samples';
import { readPads } from '../read-pads';
import { readPadLists, readPadsCsv } from '.';

describe('pads from CSV', () => {
  it.each<[string, string]>([
    ['millimetres', 'number,x,y,w,h,shape\n1,-2.54,1.27,1.5,0.6,rect\n'],
    ['a unit in the heading', 'Pad No.;X (mil);Y (mil);Width (mm);Height (mm);Shape\n1;-100;50;1.5;0.6;rectangle\n'],
    ['units in the cells', 'pad\tx\ty\tsize_x\tsize_y\tshape\n1\t-100mil\t0.05in\t1.5mm\t0.6\tRECT\n'],
    ['another order, comments and blanks', '# pads\nshape,h,w,y,x,pin\n\nrect,0.6,1.5,1.27,-2.54,1\n'],
  ])('in %s', (_how, text) => expect(good(readPadsCsv(text))).toEqual([{ number: '1', x: -2.54, y: 1.27, w: 1.5, h: 0.6, shape: 'rect' }]));
  it('reads drills, and squares without a height', () =>
    expect(good(readPadsCsv('number,x,y,w,drill\nA1,0,0,1.7,1\n'))[0]).toEqual({
      number: 'A1',
      x: 0,
      y: 0,
      w: 1.7,
      h: 1.7,
      shape: 'rect',
      drill: 1,
    }));
  it.each<[string, string, RegExp]>([
    ['nothing', '', /nothing in it/],
    ['no column for x', 'number,y,w\n1,0,1\n', /no column for x/],
    ['a length that is none', 'number,x,y,w\n1,0,0,wide\n', /p\.csv, line 2: w "wide" is not a length/],
    ['a negative width', 'number,x,y,w\n1,0,0,-1\n', /line 2/],
    ['not a number', 'number,x,y,w\n1,NaN,0,1\n', /x "NaN"/],
    ['something out of this world', 'number,x,y,w\n1,1e30,0,1\n', /is not a length/],
    ['a shape nobody knows', 'number,x,y,w,shape\n1,0,0,1,star\n', /rect, roundrect, oval and circle/],
    ['a unit of a row that nobody knows', 'number,x,y,w,unit\n1,0,0,1,furlong\n', /unit is furlong/],
    ['a unit nobody knows', 'number,x,y,w\n1,0,0,1furlong\n', /furlong/],
  ])('refuses %s', (_what, text, says) => expect(refused(readPadsCsv(text, 'p.csv')).join(' ')).toMatch(says));
  it.each<[string, string, [string, number, number, number, number, string]]>([
    ['decimal commas between semicolons', 'designator;center x;center y;pad width;pad height\n1;-1,5;0,25;0,8;1,2\n', ['1', -1.5, 0.25, 0.8, 1.2, 'rect']],
    ['a quarter turn', 'Pad,X,Y,Width,Height,Rotation\n1,0,0,0.8,1.2,270\n', ['1', 0, 0, 1.2, 0.8, 'rect']],
    ['a shape called a type', 'Pin No,Pos X [mil],Pos Y [mil],Size X [mil],Size Y [mil],Type\nA1,100,0,20,20,Circle\n', ['A1', 2.54, 0, 0.508, 0.508, 'circle']],
    ['a remark above, the part beside the pad, and a rounded rectangle', '# Pads, exported\nDesignator;Pad;Center-X(mm);Center-Y(mm);Width;Height;Shape\nU1;EP;-1,45;0,75;0,6;0,3;Rounded Rectangle\n', ['EP', -1.45, 0.75, 0.6, 0.3, 'roundrect']],
    ['words tied together', '"Pad","PosX","PosY","SizeX","SizeY"\n"A1","-1.6","1.6","0.4","0.5"\n', ['A1', -1.6, 1.6, 0.4, 0.5, 'rect']],
    ['a type that is no shape', 'Pin,X,Y,W,H,Type\n1,0,0,1,2,SMD\n', ['1', 0, 0, 1, 2, 'rect']],
    ['a unit in each row, and a style', 'PAD_NAME,PAD_X,PAD_Y,PAD_WIDTH,PAD_HEIGHT,PAD_STYLE,UNITS\n1,100,0,70,60,OVAL,MIL\n', ['1', 2.54, 0, 1.778, 1.524, 'oval']],
    ['inches by their sign', 'Pin,X,Y,Width,Height,Shape\n1,0.1",0",0.06",0.02",Rectangular\n', ['1', 2.54, 0, 1.524, 0.508, 'rect']],
    ['columns parted by blanks', 'pin   x     y   w    h    shape\n1   -1.9  0.9  1.5  0.6  oval\n', ['1', -1.9, 0.9, 1.5, 0.6, 'oval']],
    ['a title and a line of units above', 'Land of a part\nUnits: mil\n#,X,Y,Width,Height\n1,100,0,10,20\n', ['1', 2.54, 0, 0.254, 0.508, 'rect']],
  ])('reads %s', (_what, text, [number, x, y, w, h, shape]) =>
    expect(good(readPadsCsv(text))).toEqual([{ number, x, y, w, h, shape }])); // prettier-ignore
  it('reads a hole that is longer one way as a slot', () =>
    expect(good(readPadsCsv('pin,x,y,w,h,hole_x,hole_y\n1,0,0,2.4,1.6,1.8,1\n2,3,0,1.6,1.6,1,1\n'))).toMatchObject([{ drill: 1, slot: 1.8 }, { drill: 1 }])); // prettier-ignore
  it.each([
    ['70,60', '', true],
    ['70,60', 'units: mil\n', false],
    ['1.5,0.6', '', false],
    ['0.06,0.02', '', true],
    ['0.06,0.02', 'Pads (in)\n', false],
  ])('says of %s after “%s” that no unit is named: %s', (size, above, says) =>
    expect(good(readPads(`${above}pin,x,y,w,h\n1,0,0,${size}\n`, 'list')).problems.map((p) => p.code)).toEqual(says ? ['land-unit'] : []),
  );
  it('keeps the packages of a list apart', () => {
    const lists = good(readPads('package,number,x,y,w\nSO-2,1,0,0,1\nDFN-2,1,0,0,1\nSO-2,2,1,0,1\n', 'list')).packages;
    expect(lists.map((p) => [p.name, p.land.pads.map((d) => d.number)])).toEqual([['SO-2', ['1', '2']], ['DFN-2', ['1']]]); // prettier-ignore
  });
  it('refuses a pad that is turned otherwise', () =>
    expect(refused(readPadsCsv('n,number,x,y,w,rotation\n,1,0,0,1,45\n'))[0]).toMatch(/rotation is 45/));
  it.each([
    ['blanks', ' '.repeat(200_000)],
    ['rules', '_'.repeat(200_000)],
    ['digits', '1'.repeat(200_000)],
    ['commas', ','.repeat(200_000)],
    ['units', 'mm '.repeat(60_000)],
    ['headings', 'X\tY\tW\t# '.repeat(20_000)],
  ])('is done with endless %s at once', (_what, text) => {
    expect(readPadsCsv(`# all in ${text}\npad,x,y,w,place ${text}x\n1,${text}x,0,1,${text}\n`).ok).toBe(false);
    expect(readPadsCsv(`pad;place;size\n1;${text};${text}z\n`).ok).toBe(false);
  });
  it('property: never throws', () => fc.assert(fc.property(fc.string(), (text) => void readPadsCsv(text))));

  const square = { number: '1', x: -1.27, y: 2.54, w: 0.6, h: 1.5, shape: 'rect' };
  it.each<[string, string, object]>([
    ['places and sizes in one cell', 'Pad;Position;Size (mm)\n1;(-1.27, 2.54);0.6 x 1.5\n', square],
    ['places with blanks between, sizes with their unit', 'Pad|XY|W x H\n1|-1.27 2.54|0.6 × 1.5 mm\n', square],
    ['edges', 'Pad,Left,Bottom,Right,Top\n1,-1.57,1.79,-0.97,3.29\n', square],
    ['edges by their axes, a turn that says nothing more', 'pad,x_min,y_max,x_max,y_min,rot\n1,-1.57,3.29,-0.97,1.79,90\n', square],
    ['lower left and upper right', 'Pad,Lower Left X,Lower Left Y,Upper Right X,Upper Right Y\n1,-1.57,1.79,-0.97,3.29\n', square],
    ['a row of units', 'Pin,X,Y,Width,Height\n,mil,mil,mil,[mil]\n1,-50,100,23.622,59.0551\n', square],
    ['a drawn table', '| Pad No. | X | Y | W | H |\n|---|--:|--:|---|---|\n| 1 | −1.27 | 2.54 | .6 | 1.5 |\n', square],
    ['a commented heading', '# number, x, y, w, h\n1, -1.27, 2.54, .6, 1.5\n', square],
    ['a sign for the number', '# X_mm Y_mm W_mm H_mm\n1 -1.27 2.54 0.6 1.5\n', square],
    ['decimal commas in quotes', 'pad,x,y,w,h\n1,"-1,27","2,54","0,6","1,5"\n', square],
    ['a remark that says the unit', '// all dimensions in inches\nPad X Y W H\n1 -0.05 0.1 0.023622 0.0590551\n', square],
    ['microns', 'units,µm\nPad,x,y,w,h\n1,-1270,2540,600,1500\n', square],
    ['a name before the number, letters of formulas', 'Pin,Pad,Xc,Yc,Wx,Wy\nVDD,1,-1.27,2.54,0.6,1.5\n', square],
    ['numbers counted beside a name and a designator', 'Designator,Pin Name,Pad Number,X,Y,W,H\nU1,VDD,1,-1.27,2.54,0.6,1.5\n', square],
    ['mask and net beside them', 'Pad,Net,Mask width,X,Y,Width,Height,Corner radius\n1,N1,0.7,-1.27,2.54,0.6,1.5,0.1\n', square],
    ['words that are tied', 'padNo,xCenter,yCenter,XSize,YSize\n1,-1.27,2.54,0.6,1.5\n', square],
    ['empty cells in columns of blanks', 'Pad  X      Y     Net  W    H    Drill\n1    -1.27  2.54       0.6  1.5  none\n', square],
    ['a shape under another heading', 'Pad,X,Y,W,H,Outline\n1,-1.27,2.54,1,1,Circular\n', { ...square, w: 1, h: 1, shape: 'circle' }],
    ['a circle of any turn, without a height', 'Pad,X,Y,W,H,Shape,Rot\n1,-1.27,2.54,1,,circle,45\n', { ...square, w: 1, h: 1, shape: 'circle' }],
    ['no hole by other words', 'Pad;X;Y;W;H;Hole\n1;-1.27;2.54;0.6;1.5;0.00\n', square],
  ])('reads %s', (_what, text, pad) => expect(good(readPadsCsv(text))).toEqual([pad])); // prettier-ignore
  it.each([
    ['rect', 'Rectangular', 'SQUARE', 'smd rect'],
    ['roundrect', 'Rounded Rectangle', 'round-rect', 'RoundedRect', 'rectangle (rounded)'],
    ['oval', 'Obround', 'oblong', 'elliptical'],
    ['circle', 'Round', 'circular'],
  ])('knows a %s by its other names', (shape, ...names) => {
    const rows = names.map((name, i) => `${i},0,0,1,1,${name}`);
    expect(good(readPadsCsv(`pad,x,y,w,h,shape\n${rows.join('\n')}\n`)).map((p) => p.shape)).toEqual(names.map(() => shape));
  });
  it.each<[string, string, RegExp]>([
    ['a height that is missing', 'pad,x,y,w,h\n1,0,0,1,2\n2,1,0,1,\n', /line 3: h "" is not/],
    ['thousands that could be decimals', 'pad,x,y,w,h\n1,"1,270",0,"1,600","1,500"\n', /x "1,270" is not/],
    ['more pads than any land has', `pad,x,y,w\n${'1,0,0,1\n'.repeat(60_001)}`, /over 60000/],
    ['half a place', 'pad,position,w,h\n1,(0.5),1,2\n', /^p.csv, line 2: place "\(0.5\)" is not a length[^]{0,40}$/],
    ['a chamfered pad', 'pad,x,y,w,h,shape\n1,0,0,1,2,chamfered rect\n', /shape is chamfered rect/],
    ['places without sizes', 'pad,x,y\n1,0,0\n', /no column for w/],
  ])('refuses %s', (_what, text, says) => expect(refused(readPadsCsv(text, 'p.csv')).join(' ')).toMatch(says));
  it('leaves a line out that is no pad, and says so', () => {
    const { packages, problems } = good(readPads('pad,x,y,w\n1,0,0,1\nTotal: 1 pads\n', 'list', 'p.csv'));
    expect([packages[0]!.land.pads.length, problems.map(sayProblem)]).toEqual([1, ['p.csv, line 3: Row "Total: 1 pads" was left out: it has no place.']]); // prettier-ignore
  });
  it('passes over a heading that is repeated', () =>
    expect(good(readPadsCsv('pad,x,y,w\n1,0,0,1\npad,x,y,w\n2,1,0,1\n')).map((p) => p.number)).toEqual(['1', '2']));
  it('goes on with the package of the row above', () =>
    expect(good(readPads('Footprint,pad,x,y,w\nSO-2,1,0,0,1\n,2,1,0,1\n', 'list')).packages.map((p) => [p.name, p.land.pads.length])).toEqual([['SO-2', 2]])); // prettier-ignore
  it('property: what is written in any way is read alike', () => {
    const length = fc.integer({ min: 1, max: 9999 }).map((n) => n / 1000);
    const pad = fc.record({
      number: fc.integer({ min: 1, max: 99 }).map(String),
      x: length,
      y: length,
      w: length,
      h: length,
      shape: fc.constant('rect'),
    });
    const ways: ((p: { number: string; x: number; y: number; w: number; h: number }) => string)[] = [
      (p) => `pad,x,y,w,h\n${[p.number, p.x, p.y, p.w, p.h].join(',')}`,
      (p) => `pad;x;y;w;h\n${[p.number, p.x, p.y, p.w, p.h].map((v) => String(v).replace('.', ',')).join(';')}`,
      (p) => `pad\tposition\tsize\n${p.number}\t(${p.x}; ${p.y})\t${p.w} x ${p.h}`,
      (p) => `| pad | x | y | w | h |\n|---|---|---|---|---|\n| ${[p.number, p.x, p.y, p.w, p.h].join(' | ')} |`,
      (p) => `pad x_um y_um w_um h_um\n${[p.number, ...[p.x, p.y, p.w, p.h].map((v) => Math.round(v * 1000))].join(' ')}`,
    ];
    fc.assert(fc.property(pad, fc.constantFrom(...ways), (given, write) => expect(good(readPadsCsv(write(given)))).toEqual([given])));
  });
});

describe('a list without a heading', () => {
  const ROWS = [
    '1,-2.4,1.27,1.5,0.6',
    '2,-2.4,0,1.5,0.6',
    '3,-2.4,-1.27,1.5,0.6',
    '4,2.4,-1.27,1.5,.6',
    '5,2.4,0,1.5,0.6',
    '6,2.4,1.27,1.5,0.6',
  ];
  const read = (...lines: string[]) => readPadLists(`${lines.join('\n')}\n`, 'p.csv');
  const said = (...lines: string[]) => {
    const result = read(...lines);
    return result.ok ? [result.value.lists[0]!.pads[0], result.value.problems.map(sayProblem)] : sayProblem(result.problems[0]!);
  };
  const first = { number: '1', x: -2.4, y: 1.27, w: 1.5, h: 0.6, shape: 'rect' };
  const doubt = (line: number, unit = 'mm') =>
    `p.csv, line ${line}: The list has no heading: its columns are taken as number, x, y, width and height in ${unit}. Compare them with the drawing.`;
  it.each<[string, string[], unknown]>([
    ['between commas', ROWS, [first, [doubt(1)]]],
    ['between blanks', ROWS.map((r) => r.replace(/,/g, ' ')), [first, [doubt(1)]]],
    ['in columns of blanks', ROWS.map((r) => r.split(',').map((c) => c.padEnd(8)).join('')), [first, [doubt(1)]]], // prettier-ignore
    ['with shapes', ROWS.map((r) => `${r},oval`), [{ ...first, shape: 'oval' }, [doubt(1)]]],
    ['under a title', ['Land of SO-6', ...ROWS], [first, [doubt(2)]]],
    [
      'under a unit',
      ['units: mil', '1,-100,50,60,25', '2,-100,0,60,25', '3,100,0,60,25'],
      [{ ...first, x: -2.54, w: 1.524, h: 0.635 }, [doubt(2, 'mil')]],
    ],
  ])('%s is taken as it is usual, and doubted', (_how, lines, found) => expect(said(...lines)).toEqual(found));
  it.each<[string, string[]]>([
    ['sizes stand before places', ROWS.map((r) => r.replace(/^(\d),(.*?),(.*?),(.*?),(.*)$/, '$1,$4,$5,$2,$3'))],
    ['numbers stand twice', [...ROWS, ROWS[0]!]],
    ['a row has one cell less', [...ROWS, '7,0,0,1']],
    ['a size is no length', [...ROWS, '7,0,0,1,wide']],
    ['pads have no number of a pad', ROWS.map((r) => r.replace(/^\d/, 'upper left'))],
    ['there is one row', ROWS.slice(0, 1)],
  ])('is refused where %s', (_why, lines) => expect(said(...lines)).toMatch(/There is no column for number/));
});
