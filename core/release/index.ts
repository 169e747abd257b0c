export { packLibrary, readArchive } from './archive';
export { bundleFiles, bundleZip, type BundleFile } from './bundle';
export { partDigest, sha256 } from './digest';
export { makeRelease, releaseStops } from './release';
export { breaks, compareVersions, isVersion, latestRelease, suggestVersion } from './version';
