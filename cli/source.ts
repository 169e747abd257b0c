import { realpathSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { PdfLibrary } from '../adapters/pdf';
import { openSource, type Libraries, type SourceKind } from '../adapters/source';
import type { Proposal, ReadOptions } from '../core/intake';
import { ok, type Result } from '../core/part';
import { readBytes } from './files';

interface ReadSource {
  proposal: Proposal;
  kind: SourceKind;
  /** What the file holds, for its digest. */
  bytes: Uint8Array;
}

/** Reads a source of any kind, told by its first bytes. */
export async function readSource(path: string, options: ReadOptions): Promise<Result<ReadSource>> {
  const bytes = readBytes(path);
  const opened = await openSource(bytes, libraries, path);
  if (!opened.ok) return opened;
  const read = await opened.value.read({ ...options, file: path });
  await opened.value.close();
  return read.ok ? ok({ proposal: read.value, kind: opened.value.kind, bytes }) : read;
}

/** A damaged PDF can make its library reject what it promised only to itself, which would end the program; what was asked of it is answered. */
const ignored = (): void => {};

const libraries: Libraries = {
  async pdf() {
    process.off('unhandledRejection', ignored).on('unhandledRejection', ignored);
    // The library looks for drawing classes that only rendering needs, and says so on standard output where there are none.
    for (const name of ['DOMMatrix', 'ImageData', 'Path2D']) (globalThis as Record<string, unknown>)[name] ??= class {};
    const { log, warn } = console;
    console.log = console.warn = () => {};
    try {
      const library = (await import('pdfjs-dist/legacy/build/pdf.mjs')) as unknown as PdfLibrary;
      // From the program's own place, wherever it is called from.
      const folder = dirname(createRequire(realpathSync(process.argv[1]!)).resolve('pdfjs-dist/package.json'));
      const url = (name: string) => `${join(folder, name)}/`;
      return { library, data: { cMapUrl: url('cmaps'), standardFontDataUrl: url('standard_fonts') } };
    } finally {
      Object.assign(console, { log, warn });
    }
  },
};
