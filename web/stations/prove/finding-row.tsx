import { useState } from 'react';
import { RULES, type Finding } from '../../../core/checks';
import { Button, Key } from '../../ui/button';

interface Props {
  finding: Finding;
  place: string;
  active: boolean;
  waiving: boolean;
  readOnly: boolean;
  /** What leads to its place; nothing where it has none of its own. */
  showWord: string | undefined;
  onFocus: () => void;
  onShow: () => void;
  onMend: (index: number) => void;
  onStartWaive: () => void;
  onWaive: (reason: string | null) => void;
}

const TONES = {
  error: 'bg-brick-wash text-brick',
  warning: 'bg-amber-wash text-amber',
  note: 'bg-slate-wash text-slate',
};
const ruleById = new Map(RULES.map((r) => [r.id, r]));

/** One finding: how grave, what, where, why it matters, and what settles it. */
export function FindingRow({
  finding: f,
  place,
  active,
  waiving,
  readOnly,
  showWord,
  onFocus,
  onShow,
  onMend,
  onStartWaive,
  onWaive,
}: Props) {
  const [reason, setReason] = useState('');
  return (
    <li data-finding={f.id} className={`border-b border-line last:border-b-0 ${active ? 'bg-green-wash/60' : ''}`}>
      {/* The list's keys act on the active finding; the pointer only makes a row the active one. */}
      {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-static-element-interactions */}
      <div className={`flex gap-x-3 gap-y-1 px-3 py-1.5 ${active ? 'flex-wrap items-start' : 'items-center'}`} onClick={onFocus}>
        <span className={`mt-0.5 w-16 shrink-0 rounded px-1.5 text-center text-[12px] font-semibold ${TONES[f.severity]}`}>
          {f.severity}
        </span>
        <div className={`min-w-0 ${active ? 'w-[calc(100%-5rem)]' : 'flex-1'}`}>
          <p className="text-[13.5px]">{f.message}</p>
          {active ? (
            <p className="text-[12.5px] text-muted">
              {ruleById.get(f.rule)?.why} <span className="font-mono">{f.rule}</span>, {place}
            </p>
          ) : null}
        </div>
        <div className={`flex shrink-0 flex-wrap gap-1.5 ${active ? 'ml-[76px]' : 'justify-end'}`}>
          {(active ? f.mends : f.mends.slice(0, 1)).map((m, i) => (
            <Button
              key={m.label}
              tone={active && i === 0 ? 'main' : 'plain'}
              keyName={active ? String(i + 1) : undefined}
              disabled={readOnly}
              onClick={() => onMend(i)}
            >
              {m.label}
            </Button>
          ))}
          {showWord ? (
            <Button onClick={onShow} keyName={active ? 'Enter' : undefined}>
              {showWord}
            </Button>
          ) : null}
          {active ? (
            <Button disabled={readOnly} keyName="W" onClick={onStartWaive}>
              Waive…
            </Button>
          ) : null}
        </div>
      </div>
      {waiving ? (
        <form
          className="flex items-center gap-2 px-3 pb-2"
          onSubmit={(e) => {
            e.preventDefault();
            if (reason.trim() !== '') onWaive(reason.trim());
          }}
        >
          <label htmlFor="waive-reason" className="text-[13px]">
            It may stand because
          </label>
          {/* The field appears where the person just asked for it. */}
          <input
            id="waive-reason"
            ref={(field) => field?.focus()}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            onKeyDown={(e) => e.key === 'Escape' && onWaive(null)}
            className="flex-1 rounded-md border border-line px-2 py-0.5"
          />
          <Button tone="main" type="submit" disabled={reason.trim() === ''}>
            Waive <Key name="Enter" onMain />
          </Button>
          <Button onClick={() => onWaive(null)}>Cancel</Button>
        </form>
      ) : null}
    </li>
  );
}
