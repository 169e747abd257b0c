// The programs that make the corpus's documents. They are needed to make it again, not to read or score it.
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const scratch = () => mkdtempSync(join(tmpdir(), 'corpus-'));
const quiet = { stdio: ['ignore', 'ignore', 'ignore'] };

export function chromium(html, out) {
  const dir = scratch();
  writeFileSync(join(dir, 'a.html'), html);
  execFileSync(
    'chromium',
    [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--no-pdf-header-footer',
      `--user-data-dir=${dir}/u`,
      `--print-to-pdf=${out}`,
      join(dir, 'a.html'),
    ],
    quiet,
  );
}
export function weasyprint(html, out) {
  const dir = scratch();
  writeFileSync(join(dir, 'a.html'), html);
  execFileSync('weasyprint', [join(dir, 'a.html'), out], quiet);
}
export function libreoffice(html, out) {
  const dir = scratch();
  writeFileSync(join(dir, 'a.html'), html);
  execFileSync(
    'soffice',
    [
      `-env:UserInstallation=file://${dir}/u`,
      '--headless',
      '--convert-to',
      'pdf:writer_web_pdf_Export',
      '--outdir',
      dir,
      join(dir, 'a.html'),
    ],
    quiet,
  );
  renameSync(join(dir, 'a.pdf'), out);
}
export function groff(text, out, device = 'pdf') {
  const made = spawnSync('groff', ['-k', '-t', '-ms', `-T${device}`], { input: text, maxBuffer: 1e8 });
  if (made.status !== 0) throw new Error(String(made.stderr));
  writeFileSync(out, made.stdout);
}
/** By way of PostScript: Ghostscript breaks text into small pieces. */
export function ghostscript(text, out) {
  const dir = scratch();
  groff(text, join(dir, 'a.ps'), 'ps');
  execFileSync('ps2pdf', ['-dCompressPages=true', join(dir, 'a.ps'), out], quiet);
}
export function latex(text, out) {
  const dir = scratch();
  writeFileSync(join(dir, 'a.tex'), text);
  for (let i = 0; i < 2; i++) spawnSync('pdflatex', ['-interaction=nonstopmode', 'a.tex'], { cwd: dir, ...quiet });
  writeFileSync(out, readFileSync(join(dir, 'a.pdf')));
}
