import { proxy, wrap, type Remote } from 'comlink';
import type { Hit, Proposal, ReadOptions } from '../../core/intake';
import type { Result } from '../../core/part';
import type { SourceApi, SourceInfo } from './source-worker';

export type { SourceInfo } from './source-worker';

/**
 * A source that is open in a worker of its own: it is read again as a person changes what is taken, and its pages are
 * drawn. `close` ends the worker at once, whatever it is doing.
 */
export class SourceSession {
  private readonly worker = new Worker(new URL('./source-worker.ts', import.meta.url), { type: 'module' });
  private readonly api: Remote<SourceApi> = wrap<SourceApi>(this.worker);
  private ended: () => void = () => {};
  private readonly closed = new Promise<undefined>((resolve) => (this.ended = () => resolve(undefined)));

  open(bytes: Uint8Array, file: string): Promise<Result<SourceInfo> | undefined> {
    return Promise.race([this.api.open(bytes, file), this.closed]);
  }

  /** The proposal, or undefined where the session was closed meanwhile. */
  read(options: ReadOptions, progress: (done: number, of: number) => void): Promise<Result<Proposal> | undefined> {
    return Promise.race([this.api.read(options, proxy(progress)), this.closed]);
  }

  texts(): Promise<string[] | undefined> {
    return Promise.race([this.api.texts(), this.closed]);
  }

  find(words: string, most: number): Promise<Hit[] | undefined> {
    return Promise.race([this.api.find(words, most), this.closed]);
  }

  draw(page: number, scale: number): Promise<{ bitmap: ImageBitmap; width: number; height: number } | undefined> {
    return Promise.race([this.api.draw(page, scale), this.closed]);
  }

  close(): void {
    this.ended();
    this.worker.terminate();
  }
}
