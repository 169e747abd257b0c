import { useStore } from '../store';
import { selectPackageId, selectPackages, selectPinById, selectSelection } from '../store/selectors';
import { STAGE_AT } from '../ui/stage-at';

/**
 * Where the pointer is, package in view, what the selection is, what the station has to say, and the next thing to do. The line
 * is of a size of its own, so that what it says lays out nothing else anew.
 */
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
    <footer className="flex h-7 shrink-0 contain-strict items-center gap-6 border-t border-line bg-surface px-4 text-[12.5px] text-muted">
      <span id={STAGE_AT} className="h-5 w-[17rem] shrink-0 font-mono whitespace-pre contain-strict empty:hidden" />
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
