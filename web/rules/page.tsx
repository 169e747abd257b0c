import { RULES, severityOf } from '../../core/checks';
import {
  RULE_PRESETS,
  safeParseRules,
  sayProblem,
  SEVERITIES,
  SIDES,
  SIDE_ROLES,
  type HouseRules,
  type Severity,
  type Side,
} from '../../core/part';
import { useAct, useStore } from '../store';
import { keepRules } from '../store/house-rules';
import { rulesSet } from '../store/view-slice';
import { Button } from '../ui/button';
import { Drop } from '../ui/drop';
import { Choice, Field } from '../ui/field';
import { chooseFiles, download, readFileText } from '../ui/files';
import { NumberField } from '../ui/number-field';
import { ShelfLink } from '../ui/shelf-link';
import { say } from '../ui/toasts';

/** Rules that are a number. */
const NUMBERS = [
  { key: 'stepMm', label: 'Grid step, mm', least: 0.1, most: 10 },
  { key: 'pinLength', label: 'Pin length, steps', least: 1, most: 10, whole: true },
  { key: 'pitch', label: 'Pin pitch, steps', least: 1, most: 4, whole: true },
  { key: 'groupGap', label: 'Gap between groups', least: 0, most: 4, whole: true },
  { key: 'maxPinsPerUnit', label: 'Most pins in a unit', least: 2, most: 400, whole: true },
  { key: 'maxHeight', label: 'Tallest unit, steps', least: 8, most: 400, whole: true },
  { key: 'minWidth', label: 'Least width, steps', least: 2, most: 100, whole: true },
  { key: 'minHeight', label: 'Least height, steps', least: 2, most: 100, whole: true },
] as const;

/** Rules that are one of a few words. */
const CHOICES: {
  key: 'bodies' | 'supplies' | 'order' | 'names' | 'width' | 'texts' | 'strip';
  label: string;
  options: { value: string; label: string }[];
}[] = [
  {
    key: 'bodies',
    label: 'Bodies',
    options: [
      { value: 'distinctive', label: 'shapes by outline' },
      { value: 'rectangular', label: 'shapes as boxes' },
      { value: 'blocks', label: 'always blocks' },
    ],
  },
  {
    key: 'supplies',
    label: 'Supplies',
    options: [
      { value: 'own', label: 'a unit of their own' },
      { value: 'each', label: 'in each unit' },
      { value: 'first', label: 'in the first unit' },
      { value: 'signals', label: 'with the signals' },
    ],
  },
  {
    key: 'order',
    label: 'Order in a group',
    options: [
      { value: 'natural', label: 'by name' },
      { value: 'number', label: 'by number' },
      { value: 'datasheet', label: 'as in the datasheet' },
      { value: 'bank', label: 'by rail, then name' },
    ],
  },
  {
    key: 'names',
    label: 'Pin names',
    options: [
      { value: 'inside', label: 'inside the body' },
      { value: 'over', label: 'over the pins' },
    ],
  },
  {
    key: 'width',
    label: 'Width',
    options: [
      { value: 'names', label: 'as names need' },
      { value: 'third', label: 'a third of the height' },
      { value: 'same', label: 'the same in all units' },
    ],
  },
  {
    key: 'texts',
    label: 'Reference and value',
    options: [
      { value: 'above', label: 'above' },
      { value: 'below', label: 'below' },
      { value: 'split', label: 'above and below' },
    ],
  },
  {
    key: 'strip',
    label: 'Title strip',
    options: [
      { value: 'true', label: 'shown' },
      { value: 'false', label: 'none' },
    ],
  },
];

/** The house rules: how symbols are drawn, which fields are required, how grave each finding is. */
export function RulesPage() {
  const act = useAct();
  const rules = useStore((s) => s.view.rules);
  const set = (change: Partial<HouseRules>) => {
    const next = { ...rules, ...change };
    act(rulesSet(next));
    void keepRules(next).catch(() => act(say('The rules could not be saved in this browser. Export them to keep them.', 'bad')));
  };
  const importRules = async (file: File | undefined) => {
    if (!file) return;
    const read = safeParseRules(await readFileText(file), file.name);
    if (read.ok) set(read.value);
    else act(say(sayProblem(read.problems[0]!), 'bad'));
  };
  return (
    <Drop label="Drop house rules" className="flex h-full flex-col" onFiles={([file]) => void importRules(file)}>
      <header className="flex h-14 shrink-0 items-center gap-4 border-b border-line bg-surface px-4">
        <ShelfLink />
        <h1 className="text-base font-bold">House rules</h1>
        <div className="ml-auto flex gap-2">
          <Button onClick={() => void chooseFiles('.json').then(([file]) => importRules(file))}>Import…</Button>
          <Button onClick={() => download('house-rules.json', `${JSON.stringify(rules, null, 2)}\n`, 'application/json')}>Export</Button>
        </div>
      </header>
      <main className="min-h-0 flex-1 overflow-y-auto p-5">
        <div className="mx-auto grid max-w-5xl grid-cols-2 gap-6">
          <section aria-label="Drawing" className="rounded-lg border border-line bg-surface p-4">
            <h2 className="mb-2 font-semibold">Drawing</h2>
            <div className="mb-3 flex flex-wrap items-center gap-1.5 text-[13px]">
              <span className="text-muted">Begin with</span>
              {RULE_PRESETS.map((preset) => (
                <Button
                  key={preset.name}
                  title={preset.says}
                  aria-pressed={rules.name === preset.name}
                  onClick={() => set({ ...preset.rules, required: rules.required, severities: rules.severities })}
                >
                  {preset.name}
                </Button>
              ))}
            </div>
            <div className="mb-3">
              <Field label="Name of these rules" value={rules.name} onDone={(name) => name.trim() !== '' && set({ name: name.trim() })} />
            </div>
            <div className="grid grid-cols-3 gap-3">
              {NUMBERS.map(({ key, ...field }) => (
                <NumberField key={key} {...field} value={rules[key]} onNumber={(n) => set({ [key]: n })} />
              ))}
              {CHOICES.map(({ key, label, options }) => (
                <Choice
                  key={key}
                  label={label}
                  value={String(rules[key])}
                  options={options}
                  onChange={(v) => set({ [key]: key === 'strip' ? v === 'true' : v } as Partial<HouseRules>)}
                />
              ))}
            </div>
            <p className="mt-2 text-[13px] text-muted">
              A unit of {rules.maxHeight} steps is {Math.round(rules.maxHeight * rules.stepMm)} mm tall; an A4 sheet lying down leaves about
              180 mm, an A3 sheet 270 mm.
            </p>
            <h3 className="mt-4 mb-1 text-[13px] font-semibold">Sides</h3>
            <div className="grid grid-cols-3 gap-3">
              {SIDE_ROLES.map((role) => (
                <Choice
                  key={role}
                  label={role}
                  value={rules.sides[role]}
                  options={SIDES.map((s) => ({ value: s, label: s }))}
                  onChange={(s) => set({ sides: { ...rules.sides, [role]: s as Side } })}
                />
              ))}
            </div>
            <h3 className="mt-4 mb-1 text-[13px] font-semibold">Required fields</h3>
            <Field
              label="Separated by commas"
              value={rules.required.join(', ')}
              onDone={(t) =>
                set({
                  required: t
                    .split(',')
                    .map((f) => f.trim())
                    .filter(Boolean),
                })
              }
            />
          </section>
          <section aria-label="Findings" className="rounded-lg border border-line bg-surface p-4">
            <h2 className="mb-2 font-semibold">
              Findings <span className="font-normal text-muted">{RULES.length} rules; bold ones differ from the defaults</span>
              <Button
                className="ml-2 font-normal"
                disabled={Object.keys(rules.severities).length === 0}
                onClick={() => set({ severities: {} })}
              >
                All by default
              </Button>
            </h2>
            <ul className="flex flex-col gap-1">
              {RULES.map((r) => (
                <li key={r.id} className="grid grid-cols-[1fr_120px] items-center gap-3 text-[13px]">
                  <span title={r.why} className={rules.severities[r.id] === undefined ? '' : 'font-semibold'}>
                    {r.title}
                  </span>
                  <Choice
                    hideLabel
                    label={`Severity of ${r.id}`}
                    value={severityOf(r, rules)}
                    options={[...SEVERITIES, 'off'].map((s) => ({
                      value: s,
                      label: s,
                    }))}
                    onChange={(s) => set({ severities: withSeverity(rules, r.id, s as Severity | 'off', r.severity) })}
                  />
                </li>
              ))}
            </ul>
          </section>
        </div>
      </main>
    </Drop>
  );
}

function withSeverity(rules: HouseRules, id: string, severity: Severity | 'off', usual: Severity): HouseRules['severities'] {
  const { [id]: _before, ...others } = rules.severities;
  return severity === usual ? others : { ...others, [id]: severity };
}
