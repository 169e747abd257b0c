import { mkdirSync, readdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { decodeText } from '../core/intake';
import { sha256 } from '../core/release';
import { Refusal } from './refusal';

const reasons: Record<string, string> = {
  ENOENT: 'There is no such file. Check the path.',
  EACCES: 'It may not be read. Check its permissions.',
  EISDIR: 'It is a folder. Name a file in it.',
  ENOTDIR: 'A part of the path is no folder. Check the path.',
  ENOSPC: 'The disk is full.',
};

const failed = (path: string, error: unknown): Refusal => {
  const { code } = error as NodeJS.ErrnoException;
  return new Refusal(`${path}: ${reasons[code ?? ''] ?? 'It could not be read or written.'}`);
};

export function readBytes(path: string): Uint8Array {
  try {
    return readFileSync(path);
  } catch (error) {
    throw failed(path, error);
  }
}

export const readTextFile = (path: string): string => decodeText(readBytes(path));

/** `demo/tf2204.pins.csv` → `tf2204`. */
export const stem = (path: string): string =>
  basename(path)
    .replace(/(\.kite)?\.\w+$/i, '')
    .replace(/\.pins$/i, '');

/** Writes whole files only: beside the target first, then in its place. Gives the path with its digest. */
export function writeFile(path: string, data: string | Uint8Array): { path: string; sha256: string } {
  try {
    mkdirSync(dirname(path), { recursive: true });
    const beside = `${path}.part`;
    writeFileSync(beside, data);
    renameSync(beside, path);
  } catch (error) {
    throw failed(path, error);
  }
  return { path, sha256: sha256(data) };
}

/** The part files that paths name; folders are searched through, in the order of their names. */
export function partFiles(paths: readonly string[]): string[] {
  return paths.flatMap((path) => {
    let isFolder: boolean;
    try {
      isFolder = statSync(path).isDirectory();
    } catch (error) {
      throw failed(path, error);
    }
    if (!isFolder) return [path];
    const found = walk(path);
    if (found.length === 0) throw new Refusal(`${path}: There is no part file (.kite.json) in it.`);
    return found;
  });
}

function walk(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((e) =>
      e.isDirectory()
        ? e.name === 'node_modules'
          ? []
          : walk(join(folder, e.name))
        : e.name.endsWith('.kite.json')
          ? [join(folder, e.name)]
          : [],
    );
}
