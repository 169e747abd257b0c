import { strToU8, zipSync, type Zippable } from 'fflate';
import { writePinCsv } from '../formats/csv';
import { writeEdif } from '../formats/edif';
import { fileName } from '../formats/file-name';
import { unitSvg } from '../formats/svg';
import { landSvg, writeIpc2581, writePadsCsv } from '../lands';
import { canonicalPart, frozenPartSchema, type Part, type Release } from '../part';
import { writeReport } from '../report';
import { writeSpiceLibrary } from '../spice';
import { sha256 } from './digest';

export interface BundleFile {
  path: string;
  bytes: Uint8Array;
}

/**
 * The files of a release: the frozen part, its symbol as EDIF and an SVG per unit, the pin list,
 * the datasheet-check report, its lands as IPC-2581, CSV and SVG, the SPICE library where a model is joined, and a
 * manifest with the digests of them all. They depend on nothing but the release.
 */
export function bundleFiles(release: Pick<Release, 'version' | 'note' | 'digest' | 'frozen'>): BundleFile[] {
  const part: Part = { ...release.frozen, releases: [] };
  const name = fileName(part.name);
  const spice = writeSpiceLibrary(part);
  const texts: [string, string][] = [
    [`${name}.kite.json`, canonicalPart({ ...frozenPartSchema.parse(part), releases: [] })],
    ...part.units.map((u): [string, string] => [`symbol/${name}-${u.label}.svg`, unitSvg(part, u)]),
    [`symbol/${name}.edf`, writeEdif(part)],
    [`${name}-pins.csv`, writePinCsv(part)],
    [`${name}-check.html`, writeReport(part, release)],
    ...(part.packages.some((p) => p.land.pads.length > 0)
      ? [[`land/${name}.xml`, writeIpc2581(part.name, part.packages)] as [string, string]]
      : []),
    ...part.packages
      .filter((p) => p.land.pads.length > 0)
      .flatMap((p): [string, string][] => [
        [`land/${name}-${fileName(p.name)}.csv`, writePadsCsv(p.land.pads)],
        [`land/${name}-${fileName(p.name)}.svg`, landSvg(part, p)],
      ]),
    ...(spice === '' ? [] : [[`spice/${name}.lib`, spice] as [string, string]]),
  ];
  const files = texts.map(([path, text]) => ({ path, bytes: strToU8(text) }));
  const manifest = {
    part: part.name,
    version: release.version,
    note: release.note,
    digest: release.digest,
    files: files.map((f) => ({ path: f.path, bytes: f.bytes.length, sha256: sha256(f.bytes) })),
  };
  return [...files, { path: 'manifest.json', bytes: strToU8(`${JSON.stringify(manifest, null, 2)}\n`) }];
}

/** The earliest time that a zip archive can name; fixed, so that the same release is the same bytes. */
const ZIP_TIME = '1980-01-01T00:00:00';

/** Packs files as a zip archive, in the order of their paths. */
export function packZip(files: readonly BundleFile[]): Uint8Array {
  const entries: Zippable = {};
  for (const f of [...files].sort((a, b) => (a.path < b.path ? -1 : 1))) entries[f.path] = [f.bytes, { mtime: ZIP_TIME, level: 9 }];
  return zipSync(entries);
}

export const bundleZip = (release: Parameters<typeof bundleFiles>[0]): Uint8Array => packZip(bundleFiles(release));
