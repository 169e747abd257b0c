import type { ButtonHTMLAttributes } from 'react';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  tone?: 'plain' | 'main' | 'quiet' | 'bad';
  /** The key that does the same. */
  keyName?: string | undefined;
}

const TONES = {
  plain: 'border border-line bg-surface hover:border-green',
  main: 'border border-green bg-green text-on-green hover:brightness-110',
  quiet: 'border border-transparent hover:bg-sunken',
  bad: 'border border-line bg-surface text-brick hover:border-brick',
};

export function Button({ tone = 'plain', keyName, className = '', children, ...rest }: Props) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-7 items-center gap-1.5 rounded-md px-2.5 py-0.5 text-[13px] whitespace-nowrap disabled:cursor-not-allowed disabled:opacity-55 ${TONES[tone]} ${className}`}
      {...rest}
    >
      {children}
      {keyName ? <Key name={keyName} onMain={tone === 'main'} /> : null}
    </button>
  );
}

/** A key as it is printed on buttons and in lists. */
export function Key({ name, onMain = false }: { name: string; onMain?: boolean }) {
  return (
    <kbd className={`rounded border px-1 font-mono text-[11px] leading-4 ${onMain ? 'border-current' : 'border-line bg-paper text-muted'}`}>
      {name}
    </kbd>
  );
}
