import type { Terminal } from '../proposal';
import { bySameWords } from './same-words';

const signals = (...told: string[]): Terminal[] =>
  told.map((t) => {
    const [name = '', type = 'input', description = ''] = t.split(':');
    return { name, type, description } as unknown as Terminal;
  });
const titles = (...told: string[]) => [...bySameWords(signals(...told))].map(([t, title]) => `${t.name} ${title}`);

it.each<[string, string[], string[]]>([
  ['an interface', ['PE:input:Printer', 'BUSY:input:Printer', 'INIT:output:Printer', 'ALF:output:Printer', 'PD0:bidirectional:Printer data'], ['PE', 'BUSY', 'INIT', 'ALF', 'PD0']],
  ['signals of one direction', ['A:input:Printer', 'B:input:Printer', 'C:input:Printer', 'D:input:Printer'], []],
  ['few signals', ['A:input:Printer', 'B:output:Printer', 'C:input:Printer'], []],
  ['words of any part', ['A:input:General purpose', 'B:output:General purpose', 'C:input:General purpose', 'D:input:General purpose'], []],
  ['one name on several pins', ['A:input:Printer', 'A:output:Printer', 'A:input:Printer', 'B:input:Printer'], []],
  ['names that begin with what they are of', ['DDR_CK:output:Side band', 'DDR_WE:output:Side band', 'DDR_ODT:output:Side band', 'DDR_D0:bidirectional:Side band'], []],
  ['long words', ['A:input:A b c d e', 'B:output:A b c d e', 'C:input:A b c d e', 'D:input:A b c d e'], []],
])('finds in %s what it is', (_what, told, names) => expect(titles(...told)).toEqual(names.map((n) => `${n} Printer`))); // prettier-ignore
