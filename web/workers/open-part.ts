import { emptyPart, type HouseRules, type Part } from '../../core/part';
import { core } from './core';
import { deltaOf, type PartDelta } from './part-delta';

let told: Part = emptyPart('none');

/** What the worker does not know yet of the part that is open. Whatever is handed over is sent at once, so both stay in step. */
function handOver(part: Part): PartDelta {
  const delta = deltaOf(told, part);
  told = part;
  return delta;
}

export const checkOpenPart = (part: Part, rules: HouseRules) => core.checkOpen(handOver(part), rules);
export const summarizeOpenPart = (id: string, part: Part, rules: HouseRules, updated: number) =>
  core.summarizeOpen(id, handOver(part), rules, updated);
