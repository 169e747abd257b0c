// Makes the corpus's documents and their truth files: `node bench/test/make-corpus [ID…]`. Needs the producers installed;
// reading and scoring the corpus does not.
import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { documents } from './documents.mjs';
import { exchange } from './exchange.mjs';
import { unseen } from './unseen.mjs';
import { document, prose } from '../../../tools/draw-pdf.mjs';

const folder = fileURLToPath(new URL('../../corpus', import.meta.url));
const wanted = process.argv.slice(2);
mkdirSync(`${folder}/documents`, { recursive: true });
for (const d of [...documents, ...exchange, ...unseen].filter((x) => wanted.length === 0 || wanted.includes(x.id))) {
  const truth = {
    file: d.file,
    ...(d.package ? { package: d.package } : {}),
    ...(d.held ? { held: true } : {}),
    ...(d.without ? { without: d.without } : {}),
    pins: d.truth,
  };
  try {
    await d.make(`${folder}/documents/${d.file}`);
    const lines = d.truth.map((p) => `    ${JSON.stringify(p)}`).join(',\n');
    const head = JSON.stringify({ ...truth, pins: undefined }, null, 2).replace(/\n\}$/, '');
    writeFileSync(`${folder}/documents/${d.id}.truth.json`, `${head},\n  "pins": [\n${lines}\n  ]\n}\n`);
  } catch (error) {
    console.error(`${d.id}: ${error.message}`);
  }
}

// Documents that hold nothing to read, each in its own way.
if (wanted.length === 0 || wanted.includes('refused')) {
  mkdirSync(`${folder}/refused`, { recursive: true });
  await document(`${folder}/refused/locked.pdf`, (doc) => prose(doc, 'Nobody reads this.', 60), {
    userPassword: 'kite',
    pdfVersion: '1.7',
  });
  await document(`${folder}/refused/pictures.pdf`, (doc) => doc.rect(60, 60, 300, 200).fill('#ccc'));
  await document(`${folder}/refused/prose.pdf`, (doc) =>
    prose(doc, 'The sonde hangs under its kite for days and measures wind, pressure and humidity. '.repeat(12), 60),
  );
}
