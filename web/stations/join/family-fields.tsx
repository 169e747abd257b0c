import { arithmeticOf, type Family } from '../../../core/lands';
import { Choice, Field } from '../../ui/field';
import { NumberField, readNumber } from '../../ui/number-field';

const WORDS: Record<string, string> = {
  count: 'Leads',
  leads: 'Leads',
  pitch: 'Pitch',
  rowPitch: 'Row pitch',
  span: 'Span',
  length: 'Pad length',
  width: 'Pad width',
  diameter: 'Pad diameter',
  rows: 'Rows',
  columns: 'Columns',
  without: 'Missing balls',
  drill: 'Drill',
  slot: 'Slot length',
};
/** Fields that a family can have and mostly has not. */
const OPTIONAL: Partial<Record<Family['kind'], string[]>> = {
  dual: ['drill'],
  inline: ['drill'],
  header: ['slot'],
  array: ['rowPitch'],
  grid: ['without'],
};
const SIZES: Partial<Record<Family['kind'], { key: string; label: string; parts: string[]; hint: string }[]>> = {
  dual: [{ key: 'exposed', label: 'Exposed pad', parts: ['w', 'h'], hint: 'w x h, number' }],
  quad: [{ key: 'exposed', label: 'Exposed pad', parts: ['w', 'h'], hint: 'w x h, number' }],
  inline: [{ key: 'tab', label: 'Tab', parts: ['w', 'h', 'distance'], hint: 'w x h x distance' }],
  header: [
    { key: 'tabs', label: 'Tabs at both ends', parts: ['w', 'h', 'distance'], hint: 'w x h x distance' },
    { key: 'mounting', label: 'Mounting holes', parts: ['drill', 'diameter', 'distance'], hint: 'hole x ring x distance' },
  ],
};

/** The dimensions of a family as the datasheet gives them, and how the pads' places follow from them. */
export function FamilyFields({ family, onChange }: { family: Family; onChange: (family: Family) => void }) {
  const values = family as unknown as Record<string, unknown>;
  const put = (key: string, value: unknown) => {
    // A field that is changed keeps its place among the others.
    const { [key]: _before, ...rest } = values;
    onChange((value === undefined ? rest : { ...values, [key]: value }) as unknown as Family);
  };
  const keys = [...new Set([...Object.keys(family).filter((key) => key in WORDS), ...(OPTIONAL[family.kind] ?? [])])];
  return (
    <>
      {keys.map((key) =>
        key === 'without' ? (
          <Field key={key} label={WORDS[key]!} value={String(values[key] ?? '')} placeholder="none" onDone={(t) => put(key, t)} />
        ) : (
          <NumberField
            key={`${family.kind} ${key}`}
            label={WORDS[key]!}
            value={values[key] as number | undefined}
            placeholder={OPTIONAL[family.kind]?.includes(key) ? 'none' : ''}
            onNumber={(n) => put(key, n)}
            onNone={OPTIONAL[family.kind]?.includes(key) ? () => put(key, undefined) : undefined}
          />
        ),
      )}
      {'span' in family ? (
        <Choice
          label="Span is"
          value={family.spanOver ?? 'centres'}
          options={[
            { value: 'centres', label: 'over centres' },
            { value: 'toes', label: 'over toes' },
          ]}
          onChange={(v) => put('spanOver', v === 'toes' ? v : undefined)}
        />
      ) : null}
      <Field
        label="Body, w x h"
        value={`${family.body.w} x ${family.body.h}`}
        wrong={(t) => (sizes(t, ['w', 'h']) ? undefined : 'Give w x h in mm.')}
        onDone={(t) => put('body', sizes(t, ['w', 'h']))}
      />
      <NumberField
        label="Height"
        value={family.heightMm}
        placeholder="not given"
        onNumber={(n) => put('heightMm', n)}
        onNone={() => put('heightMm', undefined)}
      />
      {'numbering' in family ? (
        <Choice
          label="Numbering"
          value={family.numbering}
          options={[
            { value: 'zigzag', label: 'zig-zag' },
            { value: 'rows', label: 'row by row' },
            { value: 'around', label: 'around' },
          ]}
          onChange={(n) => put('numbering', n)}
        />
      ) : null}
      {(SIZES[family.kind] ?? []).map(({ key, label, parts, hint }) => (
        <Field
          key={`${family.kind} ${key}`}
          label={label}
          value={sizeText(values[key], parts)}
          placeholder={`none; ${hint}`}
          wrong={(t) => (t.trim() === '' || sizes(t, parts) ? undefined : `Give ${hint} in mm, or nothing.`)}
          onDone={(t) => put(key, sizes(t, parts))}
        />
      ))}
    </>
  );
}

function sizeText(value: unknown, parts: readonly string[]): string {
  if (typeof value !== 'object' || value === null) return '';
  const size = value as Record<string, number | string | undefined>;
  const number = size['number'] === undefined ? '' : `, ${size['number']}`;
  return parts.map((p) => size[p]).join(' x ') + number;
}

/** `2.4 x 3.1, EP`: lengths in their order, then a number where the datasheet gives one. */
function sizes(text: string, parts: readonly string[]): Record<string, number | string> | undefined {
  const [lengths = '', number] = text.split(/,\s+(?=\S+$)/);
  const values = lengths.split(/\s*[x×*]\s*/).map(readNumber);
  if (values.length !== parts.length || values.some((v) => !(v > 0))) return undefined;
  return { ...Object.fromEntries(parts.map((p, i) => [p, values[i]!])), ...(number && parts.length < 3 ? { number } : {}) };
}

/** `3.10 / 2 = 1.55`: each step from the datasheet's numbers to the pads' places. */
export function Arithmetic({ family }: { family: Family }) {
  return (
    <ul aria-label="Arithmetic" className="mt-2 flex flex-wrap gap-x-5 gap-y-0.5 text-[12.5px]">
      {arithmeticOf(family).map((step) => (
        <li key={step.what}>
          <span className="text-muted">{step.what}</span> <span className="font-mono">{step.how}</span>
        </li>
      ))}
    </ul>
  );
}
