interface Claim {
  mine: boolean;
  release: () => void;
}

/**
 * Claims a part for this tab by a lock that the browser gives back when the tab closes or is killed. Browsers without
 * locks let every tab write; the revision kept with each part still stops one tab from overwriting another.
 */
export function claimPart(id: string, onLost: () => void): Promise<Claim> {
  if (!('locks' in navigator)) return Promise.resolve({ mine: true, release: () => {} });
  return new Promise((resolve) => {
    navigator.locks
      .request(`part ${id}`, { ifAvailable: true }, (lock) => {
        if (!lock) {
          resolve({ mine: false, release: () => {} });
          return undefined;
        }
        return new Promise<void>((release) => resolve({ mine: true, release }));
      })
      .catch(onLost);
  });
}
