import type { ReactNode } from 'react';

interface Props {
  title: ReactNode;
  aside?: ReactNode;
  tone?: 'plain' | 'doubt';
  className?: string;
  label: string;
  children: ReactNode;
}

/** A small card near what it speaks of. It never takes the whole screen, and it never blocks. */
export function Card({ title, aside, tone = 'plain', className = '', label, children }: Props) {
  return (
    <section
      aria-label={label}
      className={`rounded-lg border bg-surface p-3 shadow-card ${tone === 'doubt' ? 'border-amber-line' : 'border-line'} ${className}`}
    >
      <h2 className="mb-1.5 flex flex-wrap items-baseline gap-x-2 text-[13px] font-semibold">
        {title}
        {aside ? <span className="font-normal text-muted">{aside}</span> : null}
      </h2>
      {children}
    </section>
  );
}

/** What stands where nothing is yet: what this is, and the first thing to do. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="mx-auto max-w-md px-6 py-16 text-center">
      <h2 className="mb-2 text-lg font-semibold">{title}</h2>
      <div className="text-muted">{children}</div>
    </div>
  );
}
