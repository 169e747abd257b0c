import { FAMILIES, RULES } from '../core/checks';

/** The page of all checks, made of the registry; a test holds the written page against it. */
export function checksPage(): string {
  const families = Object.entries(FAMILIES).map(([family, title]) => {
    const rows = RULES.filter((r) => r.family === family).map((r) => `| \`${r.id}\` | ${r.severity} | ${r.title} | ${r.why} |`);
    return [`## ${title}`, '', '| rule | severity | what it finds | why it matters |', '|---|---|---|---|', ...rows].join('\n');
  });
  const intro = [
    '# Checks',
    '',
    `Made by \`npm run docs\` from \`core/checks\`. ${RULES.length} rules; the house rules can give each another severity or turn it off. An open error`,
    'stops a release. A finding can be waived with a reason; the waiver lapses when what it waives changes.',
  ].join('\n');
  return `${[intro, ...families].join('\n\n')}\n`;
}
