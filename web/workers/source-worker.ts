import { expose, transfer } from 'comlink';
import { openSource, type OpenSource, type SourceKind } from '../../adapters/source';
import type { PdfLibrary, Progress } from '../../adapters/pdf';
import { findOn, pageText, type Hit, type Proposal, type ReadOptions, type Sheet } from '../../core/intake';
import type { Result } from '../../core/part';

/** What is known of a source once it is open. Page sizes are in points. */
export interface SourceInfo {
  kind: SourceKind;
  pages: { width: number; height: number }[];
  text?: string;
  sheets?: Sheet[];
}

class Canvases {
  create(width: number, height: number) {
    const canvas = new OffscreenCanvas(Math.max(1, width), Math.max(1, height));
    return { canvas, context: canvas.getContext('2d') };
  }
  reset({ canvas }: { canvas: OffscreenCanvas }, width: number, height: number) {
    canvas.width = Math.max(1, width);
    canvas.height = Math.max(1, height);
  }
  destroy(pair: { canvas: OffscreenCanvas | null; context: unknown }) {
    pair.canvas = null;
    pair.context = null;
  }
}

/** Filters need a document; soft masks and colour filters of pictures are left out, as no table needs them. */
class NoFilters {
  addFilter = () => 'none';
  addHCMFilter = () => 'none';
  addAlphaFilter = () => 'none';
  addLuminosityFilter = () => 'none';
  addHighlightHCMFilter = () => 'none';
  destroy() {}
}

let open: OpenSource | undefined;
const at = (path: string) => new URL(path, self.location.origin).href;

const api = {
  /** Opens a source; what was open before is closed. */
  async open(bytes: Uint8Array, file: string): Promise<Result<SourceInfo>> {
    await open?.close();
    open = undefined;
    const opened = await openSource(
      bytes,
      {
        async pdf() {
          // Its worker part is loaded here too, so that it works in this worker and not in one more.
          await import('pdfjs-dist/build/pdf.worker.mjs');
          const library = (await import('pdfjs-dist/build/pdf.mjs')) as unknown as PdfLibrary;
          const data = { cMapUrl: at('/pdf/cmaps/'), standardFontDataUrl: at('/pdf/standard_fonts/') };
          return { library, data, more: { CanvasFactory: Canvases, FilterFactory: NoFilters, useWasm: false, useWorkerFetch: false } };
        },
      },
      file,
    );
    if (!opened.ok) return opened;
    open = opened.value;
    const pages: SourceInfo['pages'] = [];
    for (let n = 1; n <= (open.document?.numPages ?? 0); n++) {
      // Sizes of far pages are taken to be the first ones' until they are drawn: a long document opens at once.
      const page = n <= 3 ? await open.document!.getPage(n) : undefined;
      const view = page?.getViewport({ scale: 1 });
      pages.push(view ? { width: view.width, height: view.height } : pages[0]!);
    }
    const { kind, text, sheets } = open;
    return { ok: true, value: { kind, pages, ...(text === undefined ? {} : { text }), ...(sheets ? { sheets } : {}) } };
  },

  read: async (options: ReadOptions, progress: Progress): Promise<Result<Proposal>> => open!.read(options, progress),

  /** The texts of a document's pages, in their order: lines with their cells apart. */
  texts: async (): Promise<string[]> => ((await open?.pages?.()) ?? []).map(pageText),

  /** The first places where all of the words stand. */
  async find(words: string, most: number): Promise<Hit[]> {
    const hits: Hit[] = [];
    for (const page of (await open?.pages?.()) ?? []) {
      if (hits.length >= most) break;
      hits.push(...findOn(page, words));
    }
    return hits.slice(0, most);
  },

  /** Draws a page at `scale` pixels a point. */
  async draw(number: number, scale: number): Promise<{ bitmap: ImageBitmap; width: number; height: number } | undefined> {
    const page = await open?.document?.getPage(number);
    if (!page) return undefined;
    const { width, height } = page.getViewport({ scale: 1 });
    const viewport = page.getViewport({ scale });
    const canvas = new OffscreenCanvas(Math.ceil(viewport.width), Math.ceil(viewport.height));
    const canvasContext = canvas.getContext('2d') as unknown as CanvasRenderingContext2D;
    await page.render({ canvas: null, canvasContext, viewport }).promise;
    const bitmap = canvas.transferToImageBitmap();
    return transfer({ bitmap, width, height }, [bitmap]);
  },
};

export type SourceApi = typeof api;
expose(api);
