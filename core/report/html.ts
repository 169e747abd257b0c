import { xmlText } from '../formats';

/** Text that is markup already. Everything else is escaped where it is put into a page. */
export interface Markup {
  markup: string;
}

type Content = string | Markup | undefined | readonly Content[];

const render = (content: Content): string =>
  content === undefined
    ? ''
    : typeof content === 'string'
      ? xmlText(content)
      : 'markup' in content
        ? content.markup
        : content.map(render).join('');

/** An element of HTML with its attributes and what is in it; texts are escaped, whatever file they came from. */
export function el(tag: string, attributes: Record<string, string>, ...content: Content[]): Markup {
  const list = Object.entries(attributes).map(([name, value]) => ` ${name}="${xmlText(value)}"`);
  return { markup: `<${tag}${list.join('')}>${render(content)}</${tag}>` };
}

/** A table with a heading row; nothing where it has no rows. */
export function table(heads: readonly string[], rows: readonly (readonly Content[])[]): Markup | undefined {
  if (rows.length === 0) return undefined;
  const head = el(
    'tr',
    {},
    heads.map((h) => el('th', { scope: 'col' }, h)),
  );
  const body = rows.map((cells) =>
    el(
      'tr',
      {},
      cells.map((c) => el('td', {}, c)),
    ),
  );
  return el('table', {}, el('thead', {}, head), el('tbody', {}, body));
}

/** A drawing as a picture of its own: whatever stands in it is shown and never runs. */
export const picture = (svg: string, alt: string): Markup => ({
  markup: `<img alt="${xmlText(alt)}" src="data:image/svg+xml,${encodeURIComponent(svg)}">`,
});

const STYLE = `
body { font: 13px/1.45 system-ui, sans-serif; color: #16302a; background: #fff; margin: 24px auto; max-width: 1060px; padding: 0 16px; }
h1 { font-size: 24px; margin: 0; } h2 { font-size: 17px; margin: 28px 0 6px; border-bottom: 2px solid #1e7b4f; } h3 { font-size: 14px; margin: 16px 0 4px; }
p { margin: 4px 0; } td p { margin: 0; } table { border-collapse: collapse; width: 100%; margin: 6px 0; } thead { display: table-header-group; } tr { break-inside: avoid; }
th, td { border: 1px solid #b9c7c0; padding: 2px 6px; text-align: left; vertical-align: top; } td { overflow-wrap: break-word; } th { background: #eaf2ed; white-space: nowrap; }
img { min-width: 80mm; max-width: 100%; max-height: 240mm; } figure { margin: 12px 0; break-inside: avoid; } figcaption { font-weight: 600; }
.low { text-decoration: overline; } .open { color: #a3301b; font-weight: 600; } .quiet { color: #4d625a; } .tick { display: inline-block; width: 11px; height: 11px; border: 1px solid #16302a; }
@page { margin: 14mm; }`;

/** A whole page in one file (HTML Living Standard): no script, nothing from outside, both forbidden by its own policy too. */
export const page = (title: string, body: readonly Content[]): string =>
  [
    '<!doctype html>',
    '<html lang="en"><head><meta charset="utf-8">',
    `<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; img-src data:">`,
    '<meta name="viewport" content="width=device-width">',
    `<title>${xmlText(title)}</title><style>${STYLE}\n</style></head><body>`,
    ...body.map(render),
    '</body></html>',
    '',
  ].join('\n');
