import { DEFAULT_RULES, type HouseRules, type Part, type Severity, type Waiver } from '../part';
import { doubtRules } from './doubts';
import { factsOf } from './facts';
import { identityRules } from './identity';
import { nodeRules } from './nodes';
import { padRules } from './pads';
import { pinRules } from './pins';
import type { Finding, Rule, Where } from './rule';
import { readBackRules } from './read-backs';
import { trialRules } from './trials';
import { typeRules } from './types';
import { unitRules } from './units';
import { waivedDigest } from './waivers';

const lapsed: Rule = {
  id: 'waiver-lapsed',
  family: 'waivers',
  severity: 'warning',
  title: 'A waiver has lapsed',
  why: 'What it waived has changed or is gone; look again before it is trusted.',
  // Found by `checkPart` itself, which knows the other findings.
  find: () => [],
};

/** Every rule, in the order that findings are shown. */
export const RULES: readonly Rule[] = [
  ...identityRules,
  ...pinRules,
  ...typeRules,
  ...doubtRules,
  ...unitRules,
  ...padRules,
  ...nodeRules,
  ...trialRules,
  ...readBackRules,
  lapsed,
];

export interface CheckResult {
  /** Open findings, the gravest first. */
  findings: Finding[];
  /** Findings that a waiver covers, with it. */
  waived: { finding: Finding; waiver: Waiver }[];
  /** The rules that were asked, by their ids: all but those that the house rules leave out. */
  asked: string[];
}

const RANK: Record<Severity, number> = { error: 0, warning: 1, note: 2 };

/** The severity that the house gives a rule, or else its own. */
export const severityOf = ({ id, severity }: Rule, { severities }: HouseRules): Severity | 'off' => severities[id] ?? severity;

/** Runs all rules on a part. House rules set severities; `off` leaves a rule out. */
export function checkPart(part: Part, rules: HouseRules = DEFAULT_RULES): CheckResult {
  const facts = factsOf(part, rules);
  const asked = RULES.flatMap((rule) => {
    const severity = severityOf(rule, rules);
    return severity === 'off' ? [] : [{ rule, severity }];
  });
  const all = asked.flatMap(({ rule, severity }): Finding[] =>
    rule.find(facts).map((raw) => ({ mends: [], ...raw, id: idOf(rule.id, raw.where), rule: rule.id, severity })),
  );
  const waivers = new Map(part.waivers.map((w) => [w.finding, w]));
  const waived: CheckResult['waived'] = [];
  const open = all.filter((finding) => {
    const waiver = waivers.get(finding.id);
    if (!waiver || waiver.digest !== waivedDigest(part, finding)) return true;
    waived.push({ finding, waiver });
    return false;
  });
  open.push(...lapsedWaivers(part, waived, rules));
  open.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
  return { findings: open, waived, asked: asked.map(({ rule }) => rule.id) };
}

function lapsedWaivers(part: Part, waived: CheckResult['waived'], rules: HouseRules): Finding[] {
  const severity = severityOf(lapsed, rules);
  if (severity === 'off') return [];
  const live = new Set(waived.map((w) => w.waiver.finding));
  return part.waivers
    .filter((w) => !live.has(w.finding))
    .map((w) => ({
      id: idOf(lapsed.id, { field: w.finding }),
      rule: lapsed.id,
      severity,
      where: {},
      message: `The waiver of ${w.rule} (“${w.reason}”) has lapsed: what it waived has changed.`,
      mends: [{ label: 'take it back', edit: { kind: 'unwaive', finding: w.finding } }],
    }));
}

/** Rule and place make the name of a finding, so that it is the same after a reload and in the command line. */
const idOf = (rule: string, w: Where): string =>
  [rule, w.pin, w.unit, w.package, w.pad, w.model, w.node, w.field]
    .map((s) => s ?? '')
    .join('/')
    .replace(/\/+$/, '');

/** "pin 5 GAIN", "pad 12 of SO-14", "unit B": a finding's place in words. */
export function whereText(part: Part, w: Where): string {
  const pin = part.pins.find((p) => p.id === w.pin);
  const unit = part.units.find((u) => u.id === w.unit);
  const pkg = part.packages.find((p) => p.id === w.package);
  const words = [
    pin ? `pin ${Object.values(pin.pads)[0]?.join(' ') ?? ''} ${pin.name}`.replace(/\s+/g, ' ') : undefined,
    w.pad !== undefined ? `pad ${w.pad}${pkg ? ` of ${pkg.name}` : ''}` : pkg ? `package ${pkg.name}` : undefined,
    w.node !== undefined ? `node ${w.node}` : undefined,
    unit ? `unit ${unit.label}` : undefined,
    w.field !== undefined ? `field ${w.field}` : undefined,
  ].filter((t) => t !== undefined);
  return words.join(', ') || 'part';
}
