// Documents drawn by hand with PDFKit: what no word processor makes, but datasheets have.
import { createWriteStream } from 'node:fs';
import PDFDocument from 'pdfkit';

const DATE = new Date(Date.UTC(2026, 0, 5));

export function document(out, draw, options = {}) {
  const doc = new PDFDocument({ size: 'A4', margin: 50, info: { CreationDate: DATE, ModDate: DATE, Title: 'datasheet' }, ...options });
  const done = new Promise((resolve) => doc.pipe(createWriteStream(out)).on('finish', resolve));
  draw(doc);
  doc.end();
  return done;
}

/**
 * A table at `y`. `columns` gives x places; `rules` is 'all', 'rows', 'head' or 'none'; `glyphs` shows each character by
 * itself; `barAt` draws lines over low-active names of that column; `valign` centres cells. Gives where it ended; goes to a
 * new page at the bottom, with the heads again where `repeat` is set.
 */
export function drawTable(doc, { heads, rows }, o) {
  const size = o.size ?? 9;
  const right = o.right ?? 545;
  const lead = size * 1.25;
  const pad = o.pad ?? 3;
  const edges = [...o.columns, right];
  const show = (text, x, y) => {
    doc.fontSize(size);
    if (!o.glyphs) return doc.text(text, x, y, { lineBreak: false });
    let at = x;
    for (const c of text) {
      if (c !== ' ') doc.text(c, at, y, { lineBreak: false });
      at += doc.widthOfString(c);
    }
  };
  const wrap = (given, width) => {
    // The standard fonts have no minus sign.
    const text = given.replace(/−/g, '–');
    const lines = [''];
    for (const part of text.split('\n').flatMap((l, i) => (i ? ['\n', ...l.split(' ')] : l.split(' ')))) {
      if (part === '\n') lines.push('');
      else if (doc.fontSize(size).widthOfString(`${lines.at(-1)} ${part}`) > width && lines.at(-1) !== '') lines.push(part);
      else lines[lines.length - 1] = lines.at(-1) === '' ? part : `${lines.at(-1)} ${part}`;
    }
    return lines;
  };
  const line = (x1, y1, x2, y2) => doc.lineWidth(0.5).moveTo(x1, y1).lineTo(x2, y2).stroke();
  let y = o.y;
  const bottom = o.bottom ?? 780;
  const place = (cells, isHead, low, note) => {
    const lines = cells.map((c, i) => wrap(c, edges[i + 1] - edges[i] - 6));
    const height = Math.max(...lines.map((l) => l.length)) * lead + 2 * pad;
    if (y + height > bottom) {
      if (o.next) [y] = [o.next(doc)];
      else {
        doc.addPage();
        y = o.top ?? 60;
      }
      if (o.repeat && !isHead) place(heads, true);
    }
    const shift = o.dx?.() ?? 0;
    doc.font(isHead ? 'Helvetica-Bold' : (o.font ?? 'Helvetica'));
    lines.forEach((own, i) => {
      const start = o.valign === 'middle' ? (height - own.length * lead) / 2 : pad;
      own.forEach((text, k) => {
        const w = doc.fontSize(size).widthOfString(text);
        const cellWidth = edges[i + 1] - edges[i];
        const x =
          shift +
          (o.align?.[i] === 'right' ? edges[i + 1] - 6 - w : o.align?.[i] === 'center' ? edges[i] + (cellWidth - w) / 2 : edges[i] + 3);
        show(text, x, y + start + k * lead);
        if (note && o.noteAt === i && k === own.length - 1) {
          doc.fontSize(size * 0.65).text(note, x + w + 0.3, y + start + k * lead - 0.5, { lineBreak: false });
        }
        if (low && o.barAt === i && !isHead)
          doc
            .lineWidth(0.6)
            .moveTo(x, y + start + k * lead + (o.barUp ?? -0.6))
            .lineTo(x + w, y + start + k * lead + (o.barUp ?? -0.6))
            .stroke();
      });
    });
    if (o.rules === 'all' || o.rules === 'columns') for (const e of edges) line(e + shift, y, e + shift, y + height);
    if (o.rules === 'all' || o.rules === 'rows' || isHead) {
      if (o.rules !== 'none') line(edges[0] + shift, y, right + shift, y);
      if (o.rules !== 'none') line(edges[0] + shift, y + height, right + shift, y + height);
    }
    y += height;
  };
  place(heads, true);
  for (const r of rows) {
    if (r.group !== undefined) {
      doc.font('Helvetica-Bold');
      const height = lead + 2 * pad;
      if (y + height * 2 > bottom) {
        doc.addPage();
        y = o.top ?? 60;
        if (o.repeat) place(heads, true);
        doc.font('Helvetica-Bold');
      }
      show(r.group, edges[0] + 3, y + pad);
      if (o.rules === 'all') {
        line(edges[0], y, edges[0], y + height);
        line(right, y, right, y + height);
        line(edges[0], y + height, right, y + height);
      }
      y += height;
    } else place(r.cells, false, r.low, r.note);
  }
  return y;
}

export function heading(doc, text, y, size = 12) {
  doc.font('Helvetica-Bold').fontSize(size).text(text, 50, y, { lineBreak: false });
  return y + size * 1.8;
}
export function prose(doc, text, y, o = {}) {
  doc
    .font('Helvetica')
    .fontSize(9)
    .text(text, o.x ?? 50, y, { width: o.width ?? 495 });
  return doc.y + 8;
}
