import { packagePages, pagesWith } from './page-texts';

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

it.each<[string, number[]]>([
  ['', []],
  ['   ', []],
  ['serial', [1]],
  ['SERIAL interface', [1]],
  ['tssop20', [3, 4]],
  ['tssop-20 outline', [4]],
  ['walrus', []],
])('pages with the words “%s” are %j', (words, pages) => expect(pagesWith([TEXT, RATINGS, ORDERING, OUTLINE], words)).toEqual(pages));
