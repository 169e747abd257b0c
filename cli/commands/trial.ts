import { problem, safeParsePart, sayBound } from '../../core/part';
import { readModels, runTrials, setupsOf, type Setup, type Trial } from '../../core/spice';
import { nodeEngine } from '../engine';
import { readTextFile } from '../files';
import { print } from '../output';
import { must, Refusal, refusalOf } from '../refusal';
import { readCsvRows } from '../rows';
import { findModel, readPins } from './match';

interface Options {
  model?: string;
  map?: string;
  device?: string;
  json: boolean;
}

const DEVICES =
  'opamp comparator nmos pmos npn pnp njf pjf diode zener resistor capacitor inductor switch logic regulator transformer other'.split(' ');

/** `trial PART`, or `trial PINS MODELFILE --model NAME --map MAP`: simulates the joined model and judges it. */
export async function trial(file: string, modelFile: string | undefined, options: Options): Promise<void> {
  if (options.device !== undefined && !DEVICES.includes(options.device))
    throw new Refusal(`--device ${options.device}: ${DEVICES.join(', ')} are known.`, 2);
  const setups = modelFile === undefined ? partSetups(file, options.model) : [...mapSetups(file, modelFile, options)];
  const engine = nodeEngine();
  const trials: Trial[] = [];
  try {
    for (const setup of setups)
      trials.push(...(await runTrials(options.device ? { ...setup, device: options.device as Setup['device'] } : setup, engine.simulate)));
  } finally {
    engine.close();
  }
  const document = trials.map(({ name, unit, verdict, reason, measured, rejoin }) => ({
    name,
    unit,
    verdict,
    reason,
    measured,
    ...(rejoin ? { rejoin } : {}),
  }));
  print(options, { trials: document }, () =>
    document.map((t) => `${t.verdict.padEnd(12)} ${t.unit === null ? '' : `${sayBound(t.unit)}, `}${t.name}: ${t.reason}`),
  );
}

function partSetups(file: string, model: string | undefined): Setup[] {
  const part = must(safeParsePart(readTextFile(file), file));
  const setups = setupsOf(part, model);
  if (setups.length === 0)
    throw new Refusal(
      `${file}: ${part.models.length === 0 ? 'No model is joined' : 'There is no such joined model'}, so there is nothing to try. Join a model first.`,
    );
  return setups;
}

/** MAP is a CSV with the columns pin, node, unit; a unit that is empty is the whole part. */
function mapSetups(pinsFile: string, modelFile: string, options: Options): Setup[] {
  if (!options.model || !options.map) throw new Refusal('trial PINS MODELFILE needs --model NAME and --map MAP.', 2);
  const pins = new Map(readPins(pinsFile).map((p) => [p.number, p]));
  const source = readTextFile(modelFile);
  const model = findModel(must(readModels(source, modelFile)).models, options.model, modelFile);
  // A pin beside an empty node is joined to none.
  const rows = readCsvRows(options.map, ['pin', 'node'], 'map-column')
    .map(({ cell, line }) => ({
      pin: cell('pin'),
      node: cell('node'),
      unit: cell('unit') || null,
      line,
    }))
    .filter((r) => r.node !== '');
  for (const r of rows) {
    const at = { file: options.map, line: r.line };
    if (!pins.has(r.pin)) throw refusalOf([problem('map-unknown', { what: 'pin', text: r.pin }, at)]);
    if (!model.nodes.some((n) => n.name.toLowerCase() === r.node.toLowerCase()))
      throw refusalOf([problem('map-unknown', { what: 'node', text: r.node }, at)]);
  }
  // What is in no unit, such as a shared supply, belongs to each.
  const units = [...new Set(rows.map((r) => r.unit))];
  const named = units.filter((u) => u !== null);
  return (named.length > 0 ? named : [null]).map((unit): Setup => {
    const own = rows.filter((r) => r.unit === unit || r.unit === null);
    const joins = model.nodes.map(({ name, otherwise }) => ({
      node: name,
      pins: own.filter((r) => r.node.toLowerCase() === name.toLowerCase()).map((r) => pins.get(r.pin)!),
      to: 'open' as const,
      ...(otherwise === undefined ? {} : { otherwise }),
    }));
    return { unit, device: model.device, model, source, joins, params: {} };
  });
}
