import type { DocumentPage } from './page';
import { findOn, packagePages, pageText } from './page-texts';

const TEXT = 'The converter has a serial interface. The pitch of its clock is low.';
const RATINGS = 'Absolute maximum ratings. Storage temperature, package thermal resistance 45 K/W by JEDEC JESD51.';
const ORDERING = 'TF7311-T TSSOP-20 tape and reel. TF7311-Q QFN-20 tray.';
const OUTLINE = 'TSSOP-20 package outline. All dimensions are in mm. e 0.65 BSC, seating plane, pin 1 index area.';
const OTHER = 'QFN-20 package outline. All dimensions are in mm. e 0.5 BSC, seating plane, pin 1 index area.';
const LAND = 'Recommended land pattern. Dimensions in millimetres. Lead pitch 0.65.';
const CONTENTS =
  'Package outline ...... 12 Mechanical data ...... 13 Land pattern ...... 14 dimensions in mm ...... 15 footprint . . . . . . . 16';

it.each<[string, string[], string, number[]]>([
  ['no page speaks of it', [TEXT, RATINGS, ORDERING], 'TSSOP-20', []],
  ['one page is it', [TEXT, RATINGS, OUTLINE], 'TSSOP-20', [3]],
  ['a land stands beside it', [TEXT, LAND, OUTLINE], '', [3, 2]],
  ['of several packages the one in view comes first', [OTHER, TEXT, OUTLINE], 'TSSOP-20', [3, 1]],
  ['a package without a name is no reason', [OTHER, OUTLINE], '', [1, 2]],
  ['the list of contents is none', [CONTENTS, OUTLINE], '', [2]],
  ['there are no pages', [], 'SO-8', []],
])('pages with the package: %s', (_what, texts, name, pages) => expect(packagePages(texts, name)).toEqual(pages));

const page: DocumentPage = {
  number: 3,
  width: 600,
  height: 800,
  runs: [
    { text: 'The TSSOP-20 package', x: 50, y: 100, width: 120, size: 10, turns: 0 },
    { text: 'outline in mm', x: 50, y: 120, width: 70, size: 10, turns: 0 },
    { text: 'Pin', x: 50, y: 140, width: 15, size: 10, turns: 0 },
    { text: 'functions', x: 70, y: 140, width: 45, size: 10, turns: 0 },
  ],
};

it.each<[string, ReturnType<typeof findOn>]>([
  ['', []],
  ['   ', []],
  ['walrus', []],
  ['tssop20', [{ page: 3, box: [50, 90, 120, 12.5] }]],
  ['PIN functions', [{ page: 3, box: [50, 130, 65, 12.5] }]],
  ['outline package', [{ page: 3 }]],
  ['functions in', [{ page: 3, box: [50, 130, 65, 12.5] }]],
])('the words “%s” stand at %j', (words, hits) => {
  const found = findOn(page, words);
  expect(found.map(({ page: on, box }) => (box ? { page: on, box: box.map((n) => Math.round(n * 10) / 10) } : { page: on }))).toEqual(hits);
});

it('a page is text with its cells apart', () => expect(pageText(page)).toBe('The TSSOP-20 package\noutline in mm\nPin functions'));
