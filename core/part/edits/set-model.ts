import type { Model } from '../model';
import { putById, type EditRule } from './edit-rule';

/** Adds a SPICE model, or replaces the one with its id. */
export interface SetModel {
  kind: 'setModel';
  model: Model;
}

export const setModel: EditRule<SetModel> = {
  apply: (part, { model }) => ({ ...part, models: putById(part.models, model) }),
  describe: ({ model }) => `set the model ${model.chosen}`,
};

/** Removes a SPICE model with its ties. */
export interface RemoveModel {
  kind: 'removeModel';
  model: string;
}

export const removeModel: EditRule<RemoveModel> = {
  apply: (part, { model }) => ({ ...part, models: part.models.filter((m) => m.id !== model) }),
  describe: () => 'remove a model',
};
