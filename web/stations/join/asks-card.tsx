import { groupBy, firstPadOrId, type Part } from '../../../core/part';
import type { Matching } from '../../../core/spice';
import { Card } from '../../ui/card';
import { counted } from '../../ui/counted';

/** What a person has to decide of a model's nodes; pins of which the same is asked stand together. */
export function AsksCard({ part, asks }: { part: Part; asks: Matching['asks'] }) {
  const packageId = part.packages[0]?.id;
  const names = new Map(part.pins.map((p) => [firstPadOrId(p, packageId), p.name]));
  return (
    <Card label="Questions" title="The program asks" aside={counted(asks.length, 'question')} className="max-w-md">
      <ul className="max-h-25 overflow-y-auto text-[13px] leading-5">
        {[...groupBy(asks, (a) => a.reason)].map(([reason, of]) => (
          <li key={reason}>
            {of.length > 1 ? <span className="font-mono">{of.map((a) => names.get(a.pin) ?? a.pin).join(', ')}: </span> : null}
            {reason}
          </li>
        ))}
      </ul>
    </Card>
  );
}
