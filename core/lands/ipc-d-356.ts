import { ok, problem, refuse, type Pad, type Problem, type Result } from '../part';
import type { ReadLands } from './ipc-2581';
import { MOST_PADS } from './limits';
import { roundMm } from './round-mm';

/** Millimetres a count (IPC-D-356A, 4.5.1): tenths of a thousandth of an inch, or thousandths of a millimetre. */
const COUNTS: Record<string, number> = { '0': 0.00254, '1': 0.001, '2': 0.00254 };

/**
 * Reads the test points of an IPC-D-356A netlist as lands, one a reference: records 317 (through a hole) and 327 (on the
 * surface) in their fixed columns, at their places on the board, y upwards, mm. Vias and records without a reference are no
 * pads. Refused with its line where a record of a pad has no readable place.
 */
export function readIpcD356(text: string, file?: string): Result<ReadLands> {
  const parts = new Map<string, Pad[]>();
  const wrong: Problem[] = [];
  const said: Problem[] = [];
  let perCount: number | undefined;
  text.split(/\r\n?|\n/).forEach((record, i) => {
    const at = { file, line: i + 1 };
    const units = /^P\s+UNITS\s+(?:CUST\s*(\d?)|(SI))/i.exec(record);
    if (units) perCount = units[2] ? 0.001 : COUNTS[units[1] || '0'];
    if (!/^3[12]7/.test(record)) return;
    const reference = record.slice(20, 26).trim();
    if (reference === '' || reference === 'VIA') return;
    if (perCount === undefined) return void wrong.push(problem('ipc-units', { units: 'none' }, at));
    // The dash between reference and pin stands in column 27; some writers set it one further.
    const number = record.slice(26, 31).replace(/^\s*-/, '').trim();
    const place = /X([+-]?\s*\d+)Y([+-]?\s*\d+)/.exec(record.slice(41).replace(/\s(?=\d)/g, ''));
    if (number === '' || !place) return void wrong.push(problem('ipc-record', { text: record.trim().slice(0, 60) }, at));
    const hole = record.slice(32, 38).replace(/\s/g, '');
    const drill = /^D(\d+)/.exec(hole);
    const size = /X(\d+)(?:Y(\d+))?/.exec(record.slice(57).replace(/\s/g, ''));
    const turn = /R(\d{1,3})/.exec(record.slice(67).replace(/\s/g, ''));
    const mm = (count: string) => roundMm(Number(count.replace(/\s/g, '')) * perCount!);
    const [w, h] = [mm(size?.[1] ?? '0'), mm(size?.[2] ?? '0')];
    const wide = w > 0 ? w : drill ? mm(drill[1]!) * 1.6 : 0;
    if (!(wide > 0)) return void wrong.push(problem('ipc-shape', { pin: number }, at));
    const high = h > 0 ? h : wide;
    const angle = Number(turn?.[1] ?? 0);
    const quarters = Math.round(angle / 90);
    if (h > 0 && angle !== quarters * 90) said.push(problem('ipc-angle', { pin: number, angle }, at));
    const turned = quarters % 2 === 1;
    const list = parts.get(reference) ?? [];
    parts.set(reference, list);
    list.push({
      number,
      x: mm(place[1]!),
      y: mm(place[2]!),
      w: turned ? high : wide,
      h: turned ? wide : high,
      // A feature with one size is round.
      shape: h > 0 ? 'rect' : 'circle',
      ...(drill && mm(drill[1]!) > 0 ? { drill: mm(drill[1]!) } : {}),
      // A hole that is not plated carries no copper.
      ...(hole.endsWith('U') ? { mechanical: true } : {}),
    });
  });
  if (wrong.length > 0) return refuse(...wrong.slice(0, 20));
  const count = [...parts.values()].reduce((n, pads) => n + pads.length, 0);
  if (count > MOST_PADS) return refuse(problem('table-large', { limit: MOST_PADS }, { file }));
  if (parts.size === 0) return refuse(problem('ipc-none', {}, { file }));
  return ok({ packages: [...parts].map(([name, pads]) => ({ name, land: { pads } })), problems: said });
}

/** Places on a board as places around the part's middle, for a land that is to stand by itself. */
export function centred(pads: readonly Pad[]): Pad[] {
  const middle = (of: (p: Pad) => number) => (Math.min(...pads.map(of)) + Math.max(...pads.map(of))) / 2;
  const [x, y] = [middle((p) => p.x), middle((p) => p.y)];
  return pads.map((p) => ({ ...p, x: roundMm(p.x - x), y: roundMm(p.y - y) }));
}
