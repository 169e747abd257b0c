import type { Reading } from './reading';

/** The packages that a source lists; the one in view is what a single-package tool takes, all are kept. */
export function Packages({ reading: { proposal, options, change } }: { reading: Reading }) {
  const inView = options.package ?? proposal?.package;
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2 px-4" role="radiogroup" aria-label="Package">
      <span className="text-muted">Package:</span>
      {proposal?.packages.map((p) => (
        <label
          key={p.name}
          className={`flex cursor-pointer items-center gap-1.5 rounded-md border px-2 py-0.5 ${p.name === inView ? 'border-green bg-green-wash' : 'border-line bg-surface'}`}
        >
          <input type="radio" name="package" checked={p.name === inView} onChange={() => change({ package: p.name })} />
          {p.name || 'unnamed'} <span className="text-muted">{p.pinCount}</span>
        </label>
      ))}
    </div>
  );
}
