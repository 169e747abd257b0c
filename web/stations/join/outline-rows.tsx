import { useMemo } from 'react';
import { familyOfOutline, packageIn, readOutline, type Family, type OutlineFamily } from '../../../core/lands';
import { equalData } from '../../store/equal';
import { Button } from '../../ui/button';
import type { Datasheet } from './use-datasheet';

/** So many pages are offered, and so many dimensions a table of an outline has at least. */
const [MOST, LEAST] = [3, 4];

interface Props {
  datasheet: Datasheet;
  family: Family;
  /** False where nobody has said yet which package it is: then the page's own name says the family. */
  isNamed: boolean;
  disabled: boolean;
  onFill: (family: Family, name?: string) => void;
}

/** The dimensions that the datasheet's tables of the package give, each with its line, to be filled in at once. */
export function OutlineRows({ datasheet: { texts, drawings }, family, isNamed, disabled, onFill }: Props) {
  const outlines = useMemo(
    () =>
      drawings.map((page) => {
        const text = texts?.[page - 1] ?? '';
        return { page, outline: readOutline(text), said: packageIn(text) };
      }),
    [texts, drawings],
  );
  const offers = outlines
    .flatMap(({ page, outline, said }) => {
      const own = isNamed ? undefined : said;
      const found = familyOfOutline(outline, own?.family ?? family);
      return found && found.taken.length >= LEAST ? [{ page, name: own?.name, ...found }] : [];
    })
    .slice(0, MOST);
  return offers.map((offer) => <OutlineRow key={offer.page} offer={offer} family={family} disabled={disabled} onFill={onFill} />);
}

function OutlineRow({
  offer,
  family,
  disabled,
  onFill,
}: { offer: OutlineFamily & { page: number; name: string | undefined } } & Pick<Props, 'family' | 'disabled' | 'onFill'>) {
  const isFilled = equalData(offer.family, family);
  return (
    <div role="group" aria-label={`Dimensions of page ${offer.page}`} className="mt-2 flex items-baseline gap-2 text-[12.5px]">
      <Button className="shrink-0" disabled={disabled || isFilled} onClick={() => onFill(offer.family, offer.name)}>
        {isFilled ? `As page ${offer.page} says` : `Fill in ${offer.name ? `${offer.name} ` : ''}from page ${offer.page}`}
      </Button>
      <p>
        {offer.taken.map(({ what, mm, line }, i) => (
          <span key={what} title={line}>
            {i > 0 ? '; ' : ''}
            <span className="text-muted">{what}</span> <span className="font-mono">{mm}</span>
          </span>
        ))}
        {offer.doubts.length > 0 ? <span className="text-amber"> {offer.doubts.join(' ')}</span> : null}
      </p>
    </div>
  );
}
