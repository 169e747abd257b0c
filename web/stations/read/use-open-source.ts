import { useEffect, useState } from 'react';
import { sayProblem } from '../../../core/part';
import { loadSource } from '../../store/library';
import { SourceSession, type SourceInfo } from '../../workers/source-session';

type Opened =
  | { state: 'fetching' }
  | { state: 'absent' }
  | { state: 'refused'; why: string }
  | { state: 'open'; session: SourceSession; info: SourceInfo; digest: string };

/** Opens a kept source by its digest, in a worker of its own that ends with the component. */
export function useOpenSource(digest: string | undefined): Opened {
  const [opened, setOpened] = useState<Opened>({ state: 'fetching' });
  useEffect(() => {
    if (digest === undefined) return;
    const session = new SourceSession();
    setOpened({ state: 'fetching' });
    void loadSource(digest).then(async (file) => {
      if (!file) return setOpened({ state: 'absent' });
      const result = await session.open(file.bytes, file.name);
      if (!result) return;
      if (result.ok) setOpened({ state: 'open', session, info: result.value, digest });
      else setOpened({ state: 'refused', why: sayProblem(result.problems[0]!) });
    });
    return () => session.close();
  }, [digest]);
  return opened;
}
