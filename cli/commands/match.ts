import { ELECTRICAL_TYPES, problem, safeParsePart, type ElectricalType } from '../../core/part';
import { matchPins, matchPinsOf, readModels, type MatchPin, type SpiceModel } from '../../core/spice';
import { readTextFile } from '../files';
import { print, table } from '../output';
import { must, refusalOf } from '../refusal';
import { readCsvRows } from '../rows';

/** Pins of a part file, or of a CSV with number, name, type, unit. */
export function readPins(file: string): MatchPin[] {
  const text = readTextFile(file);
  if (/^\s*\{/.test(text)) return matchPinsOf(must(safeParsePart(text, file)));
  const heading = (h: string) => (/^(?:pin|pad|pin (?:number|no\.?))$/.test(h) ? 'number' : h === 'pin name' ? 'name' : h);
  return readCsvRows(file, ['number', 'name'], 'pins-column', heading).map(({ cell, line }): MatchPin => {
    if (cell('number') === '') throw refusalOf([problem('pins-number', { text: cell('name') }, { file, line })]);
    const type = cell('type').toLowerCase() as ElectricalType;
    return {
      number: cell('number'),
      name: cell('name'),
      type: ELECTRICAL_TYPES.includes(type) ? type : 'unspecified',
      unit: cell('unit') || null,
      ...(cell('description') ? { description: cell('description') } : {}),
    };
  });
}

/** A model by its name, whatever its case; refused with the names that are there. */
export function findModel(models: readonly SpiceModel[], name: string, file: string): SpiceModel {
  const model = models.find((m) => m.name.toLowerCase() === name.toLowerCase());
  if (model) return model;
  const known = models
    .map((m) => m.name)
    .slice(0, 8)
    .join(', ');
  throw refusalOf([problem('spice-model-unknown', { name, known }, { file })]);
}

/** `match PINS MODELFILE --model NAME`: which node each pin is, and what has to be asked. */
export function match(pinsFile: string, modelFile: string, options: { model: string; json: boolean }): void {
  const pins = readPins(pinsFile);
  const list = must(readModels(readTextFile(modelFile), modelFile));
  const model = findModel(list.models, options.model, modelFile);
  const { pairs, asks, left } = matchPins(pins, model.nodes, model.endsAlike);
  print(options, { pairs, asks, left }, () =>
    table([
      ...pairs.map((p) => [p.pin, '→', p.node, p.unit ?? '', `${Math.round(p.confidence * 100)} %`, p.because]),
      ...asks.map((a) => [a.pin, '?', '', '', '', a.reason]),
      ...left.map((l) => [l.pin, '–', '', '', '', l.reason]),
    ]),
  );
}
