import { expose } from 'comlink';
import { checkPart } from '../../core/checks';
import { arrangeAs, arrangePart, restylePart, tidyUnit, type Strategy, type UnitDraft } from '../../core/arrange';
import { compareWithSource, reviseEdit, revisionOf, type Proposal } from '../../core/intake';
import { readEdif } from '../../core/formats';
import { readPads } from '../../core/lands';
import { emptyPart, safeParsePart, type HouseRules, type Model, type Part, type Release, type Source } from '../../core/part';
import { writeReport, type Edition } from '../../core/report';
import { bundleZip, packLibrary, readArchive, sha256, type ArchivedSource } from '../../core/release';
import { chosenModel, findModels, modelSettings, newVersionOf, proposeTies, recordEdit, trialStanding, type Trial } from '../../core/spice';
import { summarize } from '../store/records';
import { withDelta, type PartDelta } from './part-delta';

/** The part that is open, as far as it has been told here. */
let open = emptyPart('none');
const follow = (delta: PartDelta): Part => (open = withDelta(open, delta));

/** All computation that may take over 20 ms, away from the screen's thread. */
const api = {
  reviseEdit: (part: Part, proposal: Proposal, chosen: ReadonlySet<string>, source: Source) => reviseEdit(part, proposal, chosen, source),
  revisionOf: (part: Part, proposal: Proposal) => revisionOf(part, proposal),
  compareWithSource: (part: Part, proposal: Proposal, name: string) => compareWithSource(part, proposal, name),
  checkOpen: (delta: PartDelta, rules: HouseRules) => checkPart(follow(delta), rules),
  arrange: (part: Part, rules: HouseRules, strategy: Strategy) => arrangePart(part, rules, strategy),
  arrangeAs: (part: Part, drafts: UnitDraft[], rules: HouseRules) => arrangeAs(part, drafts, rules),
  restyle: (part: Part, rules: HouseRules) => restylePart(part, rules),
  tidy: (part: Part, unit: string, rules: HouseRules) => tidyUnit(part, unit, rules),
  summarize: (id: string, part: Part, rules: HouseRules, updated: number) => summarize(id, part, rules, updated),
  summarizeOpen: (id: string, delta: PartDelta, rules: HouseRules, updated: number) => summarize(id, follow(delta), rules, updated),
  parsePart: (text: string, file?: string) => safeParsePart(text, file),
  readEdif: (text: string, options: { file: string; stepMm: number }) => readEdif(text, options),
  readArchive: (bytes: Uint8Array, file?: string) => readArchive(bytes, file),
  packLibrary: (parts: Part[], sources: ArchivedSource[]) => packLibrary(parts, sources),
  bundle: (release: Pick<Release, 'version' | 'note' | 'digest' | 'frozen'>) => bundleZip(release),
  report: (part: Part, edition: Edition) => writeReport(part, edition),
  findModels: (...of: Parameters<typeof findModels>) => findModels(...of),
  modelSettings: (model: Model) => modelSettings(model),
  newVersionOf: (current: Model, to: Pick<Model, 'fileName' | 'source' | 'chosen'>) => newVersionOf(current, to),
  /** The matcher's ties for a model; undefined where its source no longer has it. */
  proposeTies: (part: Part, model: Model) => {
    const chosen = chosenModel(model);
    return chosen && proposeTies(part, model, chosen);
  },
  chosenModel: (model: Pick<Model, 'source' | 'chosen'>) => chosenModel(model),
  trialStanding: (part: Part) => trialStanding(part),
  trialEdits: (part: Part, trials: Trial[]) => part.models.map((model) => recordEdit(part, model, trials)),
  readPads: (text: string, name: string, file?: string) => readPads(text, name, file),
  digest: (data: string | Uint8Array) => sha256(data),
};

export type CoreApi = typeof api;
expose(api);
