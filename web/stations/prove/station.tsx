import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { FAMILIES, RULES, waiverEdit, whereText, type FamilyId, type Finding } from '../../../core/checks';
import type { Severity } from '../../../core/part';
import { useCommands } from '../../commands/registry';
import { openParticulars } from '../../part/particulars';
import { useAct, useStore } from '../../store';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { nextSet, packageChosen, selected, unitChosen } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { Empty } from '../../ui/card';
import { counted } from '../../ui/counted';
import { Asked } from './asked';
import { FindingRow } from './finding-row';

/** The station where a family of findings is mended by hand. */
const STATION_OF: Record<string, string> = {
  pins: 'read',
  doubts: 'read',
  types: 'read',
  units: 'arrange',
  pads: 'join',
  nodes: 'join',
  trials: 'join',
  'read-backs': 'join',
};
/** Findings of what is not there yet. */
const EMPTY: ReadonlySet<string> = new Set(['field-empty', 'datasheet-missing']);
const familyOf = new Map(RULES.map((r) => [r.id, r.family]));

/** Prove: every finding with its place, its mend and its waiver. */
export function ProveStation() {
  const act = useAct();
  const navigate = useNavigate();
  const { id } = useParams();
  const part = useStore(selectPart);
  const checks = useStore((s) => s.view.checks);
  const readOnly = useStore((s) => s.part.readOnly);
  const [at, setAt] = useState(0);
  const [waiving, setWaiving] = useState<string | null>(null);
  const list = useRef<HTMLDivElement>(null);
  const groups = useMemo(() => byFamily(checks?.findings ?? []), [checks]);
  const ordered = useMemo(() => groups.flatMap((g) => g.findings), [groups]);
  const current = ordered[Math.min(at, ordered.length - 1)];
  const count = (s: Severity) => ordered.filter((f) => f.severity === s).length;

  useEffect(() => {
    const errors = ordered.filter((f) => f.severity === 'error').length;
    act(
      nextSet({
        next:
          ordered.length > 0
            ? errors > 0
              ? `Next: ${counted(errors, 'error')}. Press N`
              : 'Next: look at the rest, or release. Alt+5'
            : 'Nothing open. Next: release. Alt+5',
        note: '',
      }),
    );
  }, [act, ordered]);

  const go = (to: number) => {
    const next = Math.max(0, Math.min(ordered.length - 1, to));
    setAt(next);
    const finding = ordered[next];
    if (finding?.where.pin) act(selected([finding.where.pin]));
    list.current?.querySelector(`[data-finding="${CSS.escape(finding?.id ?? '')}"]`)?.scrollIntoView({ block: 'nearest' });
  };
  const mend = (finding: Finding, i: number) => {
    const wanted = finding.mends[i];
    if (wanted) act(edited(wanted.edit));
  };
  const show = (finding: Finding) => {
    const { pin, unit, package: pkg, field } = finding.where;
    if (field) openParticulars(field);
    if (pin) act(selected([pin]));
    if (unit) act(unitChosen(unit));
    if (pkg) act(packageChosen(pkg));
    const station = STATION_OF[familyOf.get(finding.rule) ?? ''];
    if (station) void navigate(`/part/${id}/${station}`);
  };

  useCommands([
    {
      id: 'next-finding',
      title: 'Next finding',
      key: 'N or ↓',
      group: 'Prove',
      can: () => ordered.length > 0,
      run: () => go(at + 1),
    },
    {
      id: 'previous-finding',
      title: 'Previous finding',
      key: 'Shift+N or ↑',
      group: 'Prove',
      can: () => ordered.length > 0,
      run: () => go(at - 1),
    },
    {
      id: 'show-finding',
      title: 'Go to its place',
      key: 'Enter',
      group: 'Prove',
      can: () => current !== undefined && waiving === null && !document.activeElement?.matches('button, summary'),
      run: () => show(current!),
    },
    {
      id: 'waive',
      title: 'Waive it with a reason',
      key: 'W',
      group: 'Prove',
      can: () => current !== undefined && !readOnly,
      run: () => setWaiving(current!.id),
    },
    ...(current?.mends ?? []).map((m, i) => ({
      id: `mend-${i}`,
      title: `Mend: ${m.label}`,
      key: String(i + 1),
      group: 'Prove',
      can: () => !readOnly,
      run: () => mend(current!, i),
    })),
  ]);

  if (!checks) return <p className="p-6 text-muted">Checking…</p>;
  if (part.pins.length === 0) return <Empty title="Nothing to prove yet">Read a pin table first.</Empty>;
  return (
    <div ref={list} className="h-full overflow-y-auto px-5 py-4">
      <header className="mb-3 flex items-baseline gap-4">
        <h1 className="text-lg font-bold">{headline(count('error') + count('warning'), count('note'))}</h1>
        <p className="text-muted">
          {counted(count('error'), 'error')}, {counted(count('warning'), 'warning')};{' '}
          {counted(checks.asked.length, 'rule was', 'rules were')} asked
          {checks.waived.length > 0 ? `; ${checks.waived.length} waived` : ''}
        </p>
      </header>
      {groups.map(({ family, findings }) => (
        <section key={family} aria-label={FAMILIES[family]} className="mb-4">
          <h2 className="mb-1 font-semibold">
            {FAMILIES[family]} <span className="font-normal text-muted">{findings.length}</span>
          </h2>
          <ul className="overflow-hidden rounded-lg border border-line bg-surface">
            {findings.map((f) => (
              <FindingRow
                key={f.id}
                finding={f}
                place={whereText(part, f.where)}
                active={f === current}
                waiving={waiving === f.id}
                readOnly={readOnly}
                onFocus={() => setAt(ordered.indexOf(f))}
                onShow={() => show(f)}
                onMend={(i) => mend(f, i)}
                onWaive={(reason) => {
                  setWaiving(null);
                  if (reason) act(edited(waiverEdit(part, f, reason)));
                }}
                onStartWaive={() => setWaiving(f.id)}
                showWord={
                  STATION_OF[family] === undefined && f.where.field === undefined ? undefined : EMPTY.has(f.rule) ? 'Fill in' : 'Show'
                }
              />
            ))}
          </ul>
        </section>
      ))}
      {checks.waived.length > 0 ? (
        <section aria-label="Waived" className="mb-4">
          <h2 className="mb-1 font-semibold">
            Waived <span className="font-normal text-muted">{checks.waived.length}</span>
          </h2>
          <ul className="rounded-lg border border-line bg-sunken">
            {checks.waived.map(({ finding, waiver }) => (
              <li key={finding.id} className="flex items-center gap-3 border-b border-line px-3 py-1.5 text-[13px] last:border-b-0">
                <span className="flex-1">
                  {finding.message} <em>{waiver.reason}</em>
                </span>
                <Button disabled={readOnly} onClick={() => act(edited({ kind: 'unwaive', finding: finding.id }))}>
                  Take it back
                </Button>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <Asked checks={checks} />
    </div>
  );
}

/** Notes stop nothing: they are told apart from the findings, as on the Shelf and under the bow. */
function headline(findings: number, notes: number): string {
  const said = [...(findings > 0 ? [counted(findings, 'finding')] : []), ...(notes > 0 ? [counted(notes, 'note')] : [])];
  return said.join(', ') || 'Nothing is open';
}

function byFamily(findings: readonly Finding[]): { family: FamilyId; findings: Finding[] }[] {
  const groups = new Map<FamilyId, Finding[]>();
  for (const f of findings) {
    const family = familyOf.get(f.rule) ?? 'identity';
    groups.set(family, [...(groups.get(family) ?? []), f]);
  }
  return [...groups].map(([family, list]) => ({ family, findings: list }));
}
