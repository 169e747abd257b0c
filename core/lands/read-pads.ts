import { ok, problem, type Result } from '../part';
import { readIpc2581, type ReadLands } from './ipc-2581';
import { readIpcD356 } from './ipc-d-356';
import { readPadLists } from './read-csv';

/** Reads lands from IPC-2581, IPC-D-356A or CSV, told by what the text begins with. `name` is for lists that have none. */
export function readPads(text: string, name: string, file?: string): Result<ReadLands> {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (start.startsWith('<')) return readIpc2581(text, file);
  if (/^(?:C\s|P\s+\w|3[12]7\S)/.test(start) && /^3[12]7/m.test(start)) return readIpcD356(text, file);
  const lists = readPadLists(text, file);
  if (!lists.ok) return lists;
  const packages = lists.value.map((l) => ({ name: l.package || name, land: { pads: l.pads } }));
  const least = Math.min(...packages.flatMap((p) => p.land.pads.map((pad) => Math.min(pad.w, pad.h))));
  const problems = least >= LARGE && !UNIT.test(start) ? [problem('land-unit', { least }, { file })] : [];
  return ok({ packages, problems });
}

/** A land whose smallest pad is larger than this in mm is one of mils that nothing says. */
const LARGE = 5;
const UNIT = /\b(mm|millimet\w+|mils?|thou|inch|inches|in|um)\b|_(mm|mil|in|um)\b|[0-9](mm|mil|in|um)\b|["″µ]/i;
