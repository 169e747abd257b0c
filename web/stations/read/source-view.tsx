import type { Pin } from '../../../core/part';
import { useStore } from '../../store';
import { selectPart, selectSelection } from '../../store/selectors';
import { Empty } from '../../ui/card';
import { LineView } from './line-view';
import { PageEvidence } from './page-evidence';
import { SheetView } from './sheet-view';
import { useOpenSource } from './use-open-source';

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
  const { digest, name } = source ?? {};
  const opened = useOpenSource(digest);

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
