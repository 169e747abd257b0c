interface Claim {
  mine: boolean;
  release: () => void;
}

const TRIES = 4;
const PAUSE_MS = 120;

/**
 * Claims a part for this tab by a lock that the browser gives back when the tab closes or is killed. It is tried a few
 * times: whoever leaves a part and comes straight back finds it still being saved. Browsers without locks let every tab
 * write; the revision kept with each part still stops one tab from overwriting another.
 */
export async function claimPart(id: string): Promise<Claim> {
  const free = { mine: true, release: () => {} };
  if (!('locks' in navigator)) return free;
  for (let i = 0; i < TRIES; i++) {
    const release = await tryLock(`part ${id}`);
    if (release) return { mine: true, release };
    await new Promise((done) => setTimeout(done, PAUSE_MS));
  }
  return { mine: false, release: () => {} };
}

/** Takes a lock if it is free, and gives what releases it. */
function tryLock(name: string): Promise<(() => void) | undefined> {
  return new Promise((taken) => {
    void navigator.locks.request(name, { ifAvailable: true }, (lock) => {
      if (!lock) return taken(undefined);
      return new Promise<void>((release) => taken(() => release()));
    });
  });
}
