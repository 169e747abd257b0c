import type { Release } from '../part';
import { EditError, type EditRule } from './edit-rule';

/** Records a release. A released version is never replaced. */
export interface AddRelease {
  kind: 'addRelease';
  release: Release;
}

export const addRelease: EditRule<AddRelease> = {
  apply(part, { release }) {
    if (part.releases.some((r) => r.version === release.version)) throw new EditError(`${release.version} is released`);
    return { ...part, releases: [...part.releases, release] };
  },
  describe: ({ release }) => `release ${release.version}`,
};
