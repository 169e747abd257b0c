import type { ComponentProps } from 'react';
import { Field } from './field';

interface Props extends Omit<ComponentProps<typeof Field>, 'value' | 'onDone' | 'wrong'> {
  /** Nothing where none is given, or where several differ. */
  value: number | undefined;
  /** The bounds, which are allowed themselves; none where not given. */
  least?: number | undefined;
  most?: number;
  whole?: boolean;
  onNumber: (value: number) => void;
  /** Called for an empty field, which is an answer too where this is given. */
  onNone?: (() => void) | undefined;
}

/** A number as it is typed, with a point or a comma; not finite where it is none. */
export const readNumber = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

/** A labelled number. One that is none, or out of bounds, stays as typed with the reason below it. */
export function NumberField({ value, least = -Infinity, most = Infinity, whole = false, onNumber, onNone, ...rest }: Props) {
  const wrong = (text: string): string | undefined => {
    if (onNone && text.trim() === '') return undefined;
    const n = readNumber(text);
    if (Number.isFinite(n) && n >= least && n <= most && (!whole || Number.isInteger(n))) return undefined;
    const kind = whole ? 'a whole number' : 'a number';
    if (Number.isFinite(least) && Number.isFinite(most)) return `Give ${kind} from ${least} to ${most}.`;
    return Number.isFinite(least) ? `Give ${kind} of at least ${least}.` : `Give ${kind}.`;
  };
  return (
    <Field
      inputMode={whole ? 'numeric' : 'decimal'}
      {...rest}
      value={value === undefined || !Number.isFinite(value) ? '' : String(value)}
      wrong={wrong}
      onDone={(text) => (onNone && text.trim() === '' ? onNone() : onNumber(readNumber(text)))}
    />
  );
}
