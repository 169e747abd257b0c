import { REFERENCE_LETTERS } from '../../core/checks';
import type { Edit } from '../../core/part';
import { useAct, useStore } from '../store';
import { edited } from '../store/part-slice';
import { selectPart } from '../store/selectors';
import { Button } from '../ui/button';
import { Choice, Field } from '../ui/field';

type Set = Extract<Edit, { kind: 'setFields' }>['set'];
const list = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((w) => w.trim())
      .filter(Boolean),
  ),
];

const OPEN = 'kite:particulars';

/** Opens the particulars at one of their fields, by its name in the part. */
export const openParticulars = (field: string): void => void window.dispatchEvent(new CustomEvent(OPEN, { detail: field }));

/** Calls back with the field whenever the particulars are to be opened; gives what ends that. */
export function onOpenParticulars(open: (field: string) => void): () => void {
  const come = (e: Event) => open((e as CustomEvent<string>).detail);
  window.addEventListener(OPEN, come);
  return () => window.removeEventListener(OPEN, come);
}

/** What identifies a part: edited in place, each field an edit of its own. */
export function Particulars() {
  const act = useAct();
  const part = useStore(selectPart);
  const set = (values: Set) => act(edited({ kind: 'setFields', set: values }));
  const usual = REFERENCE_LETTERS[part.category.toLowerCase()]?.[0];
  return (
    <div className="grid grid-cols-2 gap-3">
      <Field label="Name" name="name" value={part.name} onDone={(name) => name.trim() && set({ name: name.trim() })} />
      <Field label="Maker" name="maker" value={part.maker} onDone={(maker) => set({ maker })} />
      <Field wide label="Description" name="description" value={part.description} onDone={(description) => set({ description })} />
      <Choice
        label="Category"
        name="category"
        value={part.category}
        options={['', ...Object.keys(REFERENCE_LETTERS)].map((c) => ({ value: c, label: c || 'choose…' }))}
        onChange={(category) =>
          set({
            category,
            ...(part.reference === '' && REFERENCE_LETTERS[category] ? { reference: REFERENCE_LETTERS[category][0]! } : {}),
          })
        }
      />
      <Field
        label="Reference letters"
        name="reference"
        value={part.reference}
        onDone={(reference) => set({ reference: reference.trim().toUpperCase() })}
        hint={usual && usual !== part.reference ? `${usual} is usual` : undefined}
      />
      <Field
        wide
        label="Datasheet (title, revision)"
        name="datasheet"
        value={part.datasheet?.title ?? ''}
        onDone={(title) => set({ datasheet: { ...part.datasheet, title } })}
      />
      <Field
        wide
        label="Order codes, separated by commas"
        name="orderCodes"
        value={part.orderCodes.join(', ')}
        onDone={(text) => set({ orderCodes: list(text) })}
      />
      <Field label="House part number" name="houseNumber" value={part.houseNumber ?? ''} onDone={(houseNumber) => set({ houseNumber })} />
      <Field label="Base name" name="baseName" value={part.baseName ?? ''} onDone={(baseName) => set({ baseName })} />
      <Field wide label="Keywords, separated by commas" value={part.keywords.join(', ')} onDone={(text) => set({ keywords: list(text) })} />
      {part.fields.map((field, i) => (
        <Field
          key={field.name}
          wide
          label={field.name}
          name={field.name}
          value={field.value}
          onDone={(value) => set({ fields: part.fields.map((f, k) => (k === i ? { ...f, value } : f)) })}
        />
      ))}
      <AddField onAdd={(name) => set({ fields: [...part.fields, { name, value: '' }] })} taken={part.fields.map((f) => f.name)} />
      <Extras />
    </div>
  );
}

function AddField({ onAdd, taken }: { onAdd: (name: string) => void; taken: string[] }) {
  const usual = ['Supply range', 'Temperature range', 'Height'].filter((n) => !taken.includes(n));
  return (
    <div className="col-span-2 flex flex-wrap items-center gap-1.5">
      <span className="text-[12px] text-muted">Add a field:</span>
      {usual.map((name) => (
        <Button key={name} onClick={() => onAdd(name)}>
          {name}
        </Button>
      ))}
    </div>
  );
}

/** Companions and accessories as they stand in the part file. */
function Extras() {
  const part = useStore(selectPart);
  if (part.companions.length + part.accessories.length === 0) return null;
  return (
    <div className="col-span-2 border-t border-line pt-2 text-[13px]">
      {part.companions.map((c) => (
        <p key={c.id}>
          <strong>Companion:</strong> {c.reason}:{' '}
          {c.elements.map((e) => `${e.kind} ${e.value} from ${e.from} to ${e.to}`.replace(/\s+/g, ' ')).join(', ')}
        </p>
      ))}
      {part.accessories.map((a) => (
        <p key={a.id}>
          <strong>Accessory:</strong> {a.quantity} × {a.name}
        </p>
      ))}
    </div>
  );
}
