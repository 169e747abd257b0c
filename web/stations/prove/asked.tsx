import { FAMILIES, RULES, type CheckResult } from '../../../core/checks';
import { counted } from '../../ui/counted';

/** What was asked of the part, by families: that nothing was found says as much only with the questions beside it. */
export function Asked({ checks: { asked, findings, waived } }: { checks: CheckResult }) {
  const out = RULES.length - asked.length;
  return (
    <section aria-label="What was asked" className="mb-4">
      <h2 className="mb-1 font-semibold">
        What was asked{' '}
        <span className="font-normal text-muted">
          {out > 0 ? `${counted(out, 'rule is', 'rules are')} left out by the house rules` : ''}
        </span>
      </h2>
      <div className="overflow-hidden rounded-lg border border-line bg-surface">
        {Object.entries(FAMILIES).map(([family, title]) => {
          const rules = RULES.filter((rule) => rule.family === family && asked.includes(rule.id));
          const isOf = (id: string) => rules.some((rule) => rule.id === id);
          const open = findings.filter((f) => isOf(f.rule)).length;
          const covered = waived.filter((w) => isOf(w.finding.rule)).length;
          const said = [...(open > 0 ? [counted(open, 'finding')] : []), ...(covered > 0 ? [`${covered} waived`] : [])];
          return (
            <details key={family} className="border-b border-line last:border-b-0">
              <summary className="cursor-pointer px-3 py-1.5 text-[13px] hover:bg-sunken">
                {title} <span className="text-muted">{counted(rules.length, 'rule')}, </span>
                <span className={open > 0 ? 'font-semibold' : 'text-muted'}>{said.join(', ') || 'nothing found'}</span>
              </summary>
              <ul className="px-3 pb-2 pl-8 text-[13px]">
                {rules.map((rule) => (
                  <li key={rule.id} className="grid grid-cols-2 gap-4 py-0.5">
                    <span>{rule.title}</span>
                    <span className="text-muted">{rule.why}</span>
                  </li>
                ))}
              </ul>
            </details>
          );
        })}
      </div>
    </section>
  );
}
