import { terminalsIn, type Proposal } from '../../../core/intake';
import { PinName, TypeMark } from '../../ui/marks';
import { VirtualRows } from '../../ui/virtual-rows';

const ROW = 25;

/** What was read of a source that has no table: number, name, type with its reason, and the line it stands on. */
export function TerminalList({ proposal }: { proposal: Proposal }) {
  const terminals = terminalsIn(proposal);
  return (
    <div className="flex min-h-0 flex-1 flex-col px-4 pb-3">
      <VirtualRows label="Terminals as read" count={terminals.length} height={ROW}>
        {(index) => {
          const t = terminals[index]!;
          return (
            <div
              className={`flex h-full items-center gap-3 border-b border-line px-3 text-[13px] ${t.doubts.length > 0 ? 'bg-amber-wash' : ''}`}
            >
              <span className="w-20 text-[12px] text-muted">line {t.origin?.line ?? '–'}</span>
              <span className="w-14 font-mono">{t.numbers[proposal.package]}</span>
              <span className="w-48 truncate">
                <PinName name={t.name} activeLow={!!t.activeLow} />
              </span>
              <span className="flex w-36 items-center gap-1">
                <TypeMark type={t.type} /> {t.type}
              </span>
              <span className="min-w-0 flex-1 truncate text-muted">{t.doubts[0]?.reason ?? t.because['type']}</span>
            </div>
          );
        }}
      </VirtualRows>
    </div>
  );
}
