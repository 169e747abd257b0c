import { useEffect, useMemo, useState } from 'react';
import { packagePages } from '../../../core/intake';
import type { Part } from '../../../core/part';
import { useOpenSource } from '../read/use-open-source';

export interface Datasheet {
  opened: ReturnType<typeof useOpenSource>;
  /** The texts of its pages, once they were read. */
  texts: string[] | undefined;
  /** The pages that give dimensions of the package, the likeliest first. */
  drawings: number[];
}

/** The part's latest datasheet, with what its pages say; undefined where the part has none. */
export function useDatasheet(part: Part, packageName: string): Datasheet | undefined {
  const source = part.sources.filter((s) => s.kind === 'pdf').at(-1);
  const opened = useOpenSource(source?.digest);
  const session = opened.state === 'open' ? opened.session : undefined;
  const [texts, setTexts] = useState<string[]>();
  useEffect(() => {
    let isStale = false;
    void session?.texts().then((all) => !isStale && setTexts(all));
    return () => void (isStale = true);
  }, [session]);
  const drawings = useMemo(() => packagePages(texts ?? [], packageName), [texts, packageName]);
  return useMemo(() => source && { opened, texts, drawings }, [source, opened, texts, drawings]);
}
