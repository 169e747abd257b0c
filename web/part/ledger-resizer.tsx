import { useAct } from '../store';
import { ledgerResized } from '../store/view-slice';

/** The edge between ledger and stage: dragged, or moved by the arrow keys. */
export function Resizer({ width }: { width: number }) {
  const act = useAct();
  return (
    // A separator that can be focused and moved is a control of its own in WAI-ARIA 1.2.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <div
      role="separator"
      aria-orientation="vertical"
      aria-label="Width of the ledger"
      aria-valuenow={width}
      aria-valuemin={260}
      aria-valuemax={720}

      tabIndex={0}
      onKeyDown={(e) => {
        if (e.key === 'ArrowLeft') act(ledgerResized(width - 16));
        if (e.key === 'ArrowRight') act(ledgerResized(width + 16));
      }}
      onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={(e) => {
        if (e.currentTarget.hasPointerCapture(e.pointerId)) act(ledgerResized(e.clientX));
      }}
      className="absolute inset-y-0 -right-1 z-20 w-2 cursor-col-resize hover:bg-green/30"
    />
  );
}
