import { useId, useState, type InputHTMLAttributes } from 'react';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  label: string;
  value: string;
  /** Called when the value is done: on Enter or on leaving the field. */
  onDone: (value: string) => void;
  hint?: string | undefined;
  wide?: boolean;
}

const INPUT = 'w-full rounded-md border border-line bg-surface px-2 py-1 text-[13px] disabled:opacity-60';

/** A labelled text field. What is typed stays in it until it is done; Escape takes it back. */
export function Field({ label, value, onDone, hint, wide = false, ...rest }: Props) {
  const id = useId();
  const [draft, setText] = useState<string | null>(null);
  const text = draft ?? value;
  const done = () => {
    setText(null);
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
        onChange={(e) => setText(e.target.value)}
        onBlur={done}
        onKeyDown={(e) => {
          if (e.key === 'Enter') done();
          if (e.key === 'Escape') setText(null);
        }}
        {...rest}
      />
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
}

export function Choice({ label, value, options, onChange, disabled = false, hideLabel = false }: ChoiceProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-[12px] text-muted'}>
        {label}
      </label>
      <select id={id} className={INPUT} value={value} disabled={disabled} onChange={(e) => onChange(e.target.value)}>
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.label}
          </option>
        ))}
      </select>
    </div>
  );
}
