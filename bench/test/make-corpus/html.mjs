// A datasheet as a page of HTML, for the producers that print one.
const esc = (t) => String(t).replace(/&/g, '&amp;').replace(/</g, '&lt;');

const DECOYS = {
  ratings: `<h2>3 Absolute maximum ratings</h2><table><tr><th>Symbol</th><th>Parameter</th><th>Min</th><th>Max</th><th>Unit</th></tr>
<tr><td>VDD</td><td>Supply voltage</td><td>−0.3</td><td>4.0</td><td>V</td></tr><tr><td>VIN</td><td>Voltage at any input</td><td>−0.3</td><td>VDD + 0.3</td><td>V</td></tr>
<tr><td>TSTG</td><td>Storage temperature</td><td>−65</td><td>150</td><td>°C</td></tr></table>`,
  registers: `<h2>9 Register map</h2><table><tr><th>Bit</th><th>Name</th><th>Type</th><th>Reset</th><th>Description</th></tr>
<tr><td>7</td><td>GO</td><td>R/W</td><td>0</td><td>Starts a conversion</td></tr><tr><td>6:4</td><td>GAIN</td><td>R/W</td><td>000</td><td>Gain of the input stage</td></tr><tr><td>3</td><td>RSVD</td><td>R</td><td>0</td><td>Reserved</td></tr><tr><td>2</td><td>CHOP</td><td>R/W</td><td>1</td><td>Chopper enable</td></tr><tr><td>1</td><td>PD</td><td>R/W</td><td>0</td><td>Power-down</td></tr><tr><td>0</td><td>RST</td><td>W</td><td>0</td><td>Soft reset</td></tr></table>`,
  ordering: `<h2>12 Ordering information</h2><table><tr><th>Part number</th><th>Package</th><th>Pins</th><th>Quantity</th></tr><tr><td>TFX-A</td><td>Tube</td><td>16</td><td>90</td></tr><tr><td>TFX-AR</td><td>Reel</td><td>16</td><td>2500</td></tr></table>`,
  electrical: `<h2>5 Electrical characteristics</h2><table><tr><th>Parameter</th><th>Conditions</th><th>Min</th><th>Typ</th><th>Max</th><th>Unit</th></tr>
<tr><td>Resolution</td><td>no missing codes</td><td>16</td><td></td><td></td><td>bit</td></tr><tr><td>Offset</td><td>25 °C</td><td></td><td>10</td><td>40</td><td>µV</td></tr><tr><td>Supply current</td><td>converting</td><td></td><td>1.2</td><td>2</td><td>mA</td></tr></table>`,
  prose: `<p>The device measures what the tethered sonde needs and keeps its counts while the link is down. It works from a single supply, wakes in 40 µs and needs no calibration by the user. Figures in this document hold from −40 °C to 85 °C unless it says otherwise.</p>`,
};

export function datasheet(title, table, o = {}) {
  const before = (o.before ?? ['prose', 'ratings']).map((d) => DECOYS[d] ?? d).join('\n');
  const after = (o.after ?? ['electrical', 'registers', 'ordering']).map((d) => DECOYS[d] ?? d).join('\n');
  return `<!doctype html><meta charset="utf-8"><title>${esc(title)}</title><style>
@page { size: ${o.page ?? 'A4'}; margin: 18mm 16mm; }
body { font: ${o.size ?? 9}pt "${o.font ?? 'Liberation Sans'}"; }
h1 { font-size: 17pt } h2 { font-size: 12pt; margin: 14pt 0 4pt }
table { border-collapse: collapse; width: 100%; font-size: ${o.size ?? 9}pt } caption { text-align: left; font-weight: bold; padding: 4pt 0 }
th { text-align: left } th, td { padding: 2.5pt 5pt; vertical-align: ${o.valign ?? 'top'}; border: 0.6pt solid #444 }
thead { display: table-header-group } tr { break-inside: avoid }
sup { font-size: 65%; vertical-align: super; line-height: 0 }
.low { text-decoration: overline }
${o.css ?? ''}
</style><h1>${esc(title)}</h1>${before}<h2>4 ${o.heading ?? 'Pin functions'}</h2>${o.lead ?? ''}${table}${o.foot ?? ''}${after}`;
}

/** A table of printed rows. `low: 'bar'` prints low-active names under a line. */
export function tableHtml({ heads, rows }, o = {}) {
  const width = heads.flat().length;
  const head = o.headHtml ?? `<tr>${heads.map((h) => `<th>${h}</th>`).join('')}</tr>`;
  const body = rows
    .map((r) =>
      r.group !== undefined
        ? `<tr><td colspan="${width}" class="group">${esc(r.group)}</td></tr>`
        : `<tr>${r.cells.map((c, i) => `<td>${r.low && i === o.nameAt && o.bar ? `<span class="low">${esc(c)}</span>` : esc(c)}${r.note && i === o.nameAt ? `<sup>${r.note}</sup>` : ''}</td>`).join('')}</tr>`,
    )
    .join('\n');
  return `<table class="pins"><caption>${esc(o.caption ?? 'Table 2. Pin functions')}</caption><thead>${head}</thead><tbody>${body}</tbody></table>`;
}
