import { Empty } from '../../ui/card';
import { PageView } from '../read/page-view';
import type { Datasheet } from './use-datasheet';

/** So many pages are offered of those that give dimensions. */
const MOST = 8;
/** A place so far down a page, in points, that the page is shown from its head. */
const HEAD = 130;

/** The datasheet beside the land: its pages, opened where they give the package's dimensions. */
export function DatasheetView({ datasheet: { opened, drawings } }: { datasheet: Datasheet }) {
  if (opened.state === 'fetching') return <p className="p-3 text-muted">Fetching the datasheet…</p>;
  if (opened.state === 'absent') return <Empty title="The datasheet is not in this browser">Read it again in Read to see it here.</Empty>;
  if (opened.state === 'refused') return <Empty title="The datasheet cannot be shown">{opened.why}</Empty>;
  const [page] = drawings;
  return (
    <section aria-label="Datasheet" className="flex h-full min-h-0 flex-col overflow-hidden rounded-md border border-line">
      <PageView
        session={opened.session}
        info={opened.info}
        focus={page === undefined ? undefined : { page, box: [0, HEAD, 1, 1] }}
        overlay={() => null}
        offered={{ what: 'dimensions on', pages: drawings.slice(0, MOST).sort((a, b) => a - b) }}
      />
    </section>
  );
}
