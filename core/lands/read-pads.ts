import { ok, type Result } from '../part';
import { readIpc2581, type ReadLands } from './ipc-2581';
import { readIpcD356 } from './ipc-d-356';
import { readPadLists } from './pad-list';

/** Reads lands from IPC-2581, IPC-D-356A or CSV, told by what the text begins with. `name` is for lists that have none. */
export function readPads(text: string, name: string, file?: string): Result<ReadLands> {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (start.startsWith('<')) return readIpc2581(text, file);
  if (/^(?:C\s|P\s+\w|3[12]7\S)/.test(start) && /^3[12]7/m.test(start)) return readIpcD356(text, file);
  const read = readPadLists(text, file);
  if (!read.ok) return read;
  const { lists, problems } = read.value;
  return ok({ packages: lists.map((l) => ({ name: l.package || name, land: { pads: l.pads } })), problems });
}
