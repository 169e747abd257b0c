import { useEffect } from 'react';
import { useAct, useStore } from '../store';
import { said, toastGone, type Toast } from '../store/view-slice';
import { Button } from './button';

const actions = new Map<string, () => void>();
let token = 0;

/** Says something in passing, with a step back if there is one. The step itself is no plain data, so it is kept here. */
export function say(text: string, tone: Toast['tone'] = 'plain', action?: { label: string; run: () => void }) {
  if (!action) return said({ text, tone });
  const name = `t${++token}`;
  actions.set(name, action.run);
  return said({ text, tone, action: { label: action.label, token: name } });
}

export function Toasts() {
  const toasts = useStore((s) => s.view.toasts);
  return (
    <div
      role="status"
      aria-live="polite"
      className="pointer-events-none fixed bottom-[var(--foot,3rem)] left-1/2 z-50 flex w-max max-w-[90vw] -translate-x-1/2 flex-col gap-2"
    >
      {toasts.map((t) => (
        <ToastView key={t.id} toast={t} />
      ))}
    </div>
  );
}

function ToastView({ toast }: { toast: Toast }) {
  const act = useAct();
  useEffect(() => {
    const timer = setTimeout(() => act(toastGone(toast.id)), toast.tone === 'bad' ? 12000 : 7000);
    return () => clearTimeout(timer);
  }, [act, toast]);
  const action = toast.action;
  return (
    <div
      className={`pointer-events-auto flex items-center gap-3 rounded-lg border px-3 py-2 shadow-card ${toast.tone === 'bad' ? 'border-brick bg-brick-wash' : 'border-line bg-surface'}`}
    >
      <span className="max-w-xl">{toast.text}</span>
      {action ? (
        <Button
          onClick={() => {
            actions.get(action.token)?.();
            act(toastGone(toast.id));
          }}
        >
          {action.label}
        </Button>
      ) : null}
      <Button tone="quiet" aria-label="Close this message" onClick={() => act(toastGone(toast.id))}>
        ×
      </Button>
    </div>
  );
}
