export { packLibrary, readArchive, type ArchivedSource } from './archive';
export { bundleFiles, bundleZip } from './bundle';
export { partDigest, sha256 } from './digest';
export { makeRelease, releaseStops } from './release';
export { compareVersions, isVersion, latestRelease, suggestVersion } from './version';
