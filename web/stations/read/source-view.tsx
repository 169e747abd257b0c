import { useEffect, useState } from 'react';
import { sayProblem, type Pin } from '../../../core/part';
import { useStore } from '../../store';
import { loadSource } from '../../store/library';
import { selectPart, selectSelection } from '../../store/selectors';
import { Empty } from '../../ui/card';
import { SourceSession, type SourceInfo } from '../../workers/source-session';
import { LineView } from './line-view';
import { PageEvidence } from './page-evidence';
import { SheetView } from './sheet-view';

type Opened =
  | { state: 'fetching' }
  | { state: 'absent' }
  | { state: 'refused'; why: string }
  | { state: 'open'; session: SourceSession; info: SourceInfo; digest: string };

interface Props {
  onPage: (page: number, of: number) => void;
  /** True where every selected pin is to be read on its page, in whatever room there is. */
  closeUp?: boolean;
  /** The terminal that is asked about where it is not all that is selected: one of a bundle. */
  asked?: Pin | undefined;
}

/** The kept source that the selected pin came from, or the latest: pages, sheets or lines with the evidence marked. */
export function SourceView({ onPage, closeUp = false, asked }: Props) {
  const part = useStore(selectPart);
  const selection = useStore(selectSelection);
  const from = (asked ?? part.pins.find((p) => p.id === selection.at(-1)))?.origin?.source;
  const source = part.sources.find((s) => s.digest === from) ?? part.sources.at(-1);
  const [opened, setOpened] = useState<Opened>({ state: 'fetching' });
  const { digest, name } = source ?? {};
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

  if (!source)
    return <Empty title="These pins were set by hand">No source is kept with this part. Paste or drop a pin table to read one.</Empty>;
  if (opened.state === 'fetching') return <p className="p-6 text-muted">Fetching the source…</p>;
  if (opened.state === 'refused') return <Empty title="The source cannot be shown">{opened.why}</Empty>;
  if (opened.state === 'absent')
    return (
      <Empty title="The source is not in this browser">
        {name} was read elsewhere. Read it again here and its places are shown beside the pins.
      </Empty>
    );
  const { info, session } = opened;
  if (info.kind === 'pdf')
    return (
      <div className="flex h-full flex-col">
        <PageEvidence
          session={session}
          info={info}
          digest={opened.digest}
          closeUp={closeUp}
          asked={asked}
          onPage={(page) => onPage(page, info.pages.length)}
        />
      </div>
    );
  if (info.sheets) return <SheetView sheets={info.sheets} digest={opened.digest} asked={asked} />;
  return <LineView text={info.text ?? ''} name={name!} digest={opened.digest} asked={asked} />;
}
