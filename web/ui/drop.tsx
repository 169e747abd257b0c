import { useState, type ReactNode } from 'react';

interface Props {
  label: string;
  onFiles: (files: File[]) => void;
  children: ReactNode;
  className?: string;
}

/** A place where files may be dropped; it says so while one is over it. */
export function Drop({ label, onFiles, children, className = '' }: Props) {
  const [over, setOver] = useState(false);
  return (
    <section
      aria-label={label}
      className={`relative ${className}`}
      onDragOver={(e) => {
        if (!e.dataTransfer.types.includes('Files')) return;
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={(e) => {
        if (!e.currentTarget.contains(e.relatedTarget as Node | null)) setOver(false);
      }}
      onDrop={(e) => {
        e.preventDefault();
        setOver(false);
        if (e.dataTransfer.files.length > 0) onFiles([...e.dataTransfer.files]);
      }}
    >
      {children}
      {over ? (
        <div className="pointer-events-none absolute inset-2 z-40 grid place-items-center rounded-xl border-2 border-dashed border-green bg-green-wash/80 text-lg font-semibold">
          <span className="rounded-lg bg-surface px-5 py-2 shadow-card">{label}</span>
        </div>
      ) : null}
    </section>
  );
}
