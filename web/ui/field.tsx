import { useId, useState, type InputHTMLAttributes } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  label: string;
  value: string;
  /** Called when the value is done: on Enter or on leaving the field. */
  onDone: (value: string) => void;
  /** What is wrong with a value, in words: it is then not done, and stays as typed beside them. */
  wrong?: ((value: string) => string | undefined) | undefined;
  hint?: string | undefined;
  wide?: boolean;
}

const INPUT = 'w-full rounded-md border border-line bg-surface px-2 py-1 text-[13px] disabled:opacity-60 aria-invalid:border-brick';

/** A labelled text field. What is typed stays in it until it is done; Escape takes it back. */
export function Field({ label, value, onDone, wrong, hint, wide = false, ...rest }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [refusal, setRefusal] = useState<string>();
  const text = draft ?? value;
  const write = (typed: string | null) => {
    setDraft(typed);
    setRefusal(undefined);
  };
  const done = () => {
    const why = text === value ? undefined : wrong?.(text);
    if (why !== undefined) return setRefusal(why);
    write(null);
    if (text !== value) onDone(text);
  };
  return (
    <div className={wide ? 'col-span-2' : ''}>
      <label htmlFor={id} className="mb-0.5 block text-[12px] text-muted">
        {label}
      </label>
      <input
        id={id}
        className={INPUT}
        value={text}
        aria-invalid={refusal !== undefined}
        aria-describedby={refusal === undefined ? undefined : `${id}-wrong`}
        onChange={(e) => write(e.target.value)}
        onBlur={done}
        onKeyDown={(e) => {
          if (e.key === 'Enter') done();
          if (e.key === 'Escape') write(null);
        }}
        {...rest}
      />
      {refusal === undefined ? null : (
        <p id={`${id}-wrong`} role="alert" className="mt-0.5 text-[12px] leading-tight text-brick">
          {refusal}
        </p>
      )}
      {hint ? <p className="mt-0.5 text-[12px] text-muted">{hint}</p> : null}
    </div>
  );
}

interface ChoiceProps {
  label: string;
  value: string;
  options: readonly { value: string; label: string }[];
  onChange: (value: string) => void;
  disabled?: boolean;
  hideLabel?: boolean;
  name?: string;
}

export function Choice({ label, value, options, onChange, disabled = false, hideLabel = false, name }: ChoiceProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-[12px] text-muted'}>
        {label}
      </label>
      <select id={id} name={name} className={INPUT} value={value} disabled={disabled} onChange={(e) => onChange(e.target.value)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </div>
  );
}
