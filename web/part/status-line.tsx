import { useStore } from '../store';
import { selectPackageId, selectPackages, selectPinById, selectSelection } from '../store/selectors';

/** Package in view, what the selection is, what the station has to say, and the next thing to do. */
export function StatusLine() {
  const packages = useStore(selectPackages);
  const packageId = useStore(selectPackageId);
  const selection = useStore(selectSelection);
  const pins = useStore(selectPinById);
  const { next, note } = useStore((s) => s.view);
  const chosen = selection.flatMap((id) => pins.get(id) ?? []);
  const said =
    chosen.length === 0
      ? 'nothing selected'
      : chosen.length === 1
        ? `${chosen[0]!.name || '(no name)'} selected`
        : `${chosen.length} pins selected`;
  return (
    <footer className="flex h-7 shrink-0 items-center gap-6 border-t border-line bg-surface px-4 text-[12.5px] text-muted">
      <span id="stage-note" className="font-mono whitespace-pre empty:hidden">
        {note}
      </span>
      <span>{packages.find((p) => p.id === packageId)?.name ?? 'no package'}</span>
      <span>{said}</span>
      <span className="ml-auto font-semibold text-amber" aria-live="polite">
        {next}
      </span>
    </footer>
  );
}
