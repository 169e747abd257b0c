import type { Edit } from '../../../core/part';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { counted } from '../../ui/counted';

/** An automatic arrangement to be looked at, and taken or left. */
export interface Proposal {
  title: string;
  edit: Edit;
  /** Names of the pins that would change their place. */
  changed: string[];
  shown: boolean;
  /** Doubts and other words to say of it. */
  says?: string[];
}

interface Props {
  proposal: Proposal;
  onTake: () => void;
  onShow: () => void;
  onLeave: () => void;
  /** Names of the pins that a person placed. */
  names: string[];
}

/** What an automatic arrangement would change, to be taken or left. */
export function ProposalCard({ proposal, onTake, onShow, onLeave, names }: Props) {
  const { changed, title, shown, says = [] } = proposal;
  const byHand = changed.filter((n) => names.includes(n)).length;
  return (
    <Card
      label="Proposal"
      title={changed.length === 0 ? `${title} would change nothing` : `${title} would change ${counted(changed.length, 'place')}`}
    >
      <p className="mb-2 line-clamp-3 font-mono text-[13px]">{changed.slice(0, 24).join(', ')}</p>
      {says.map((line) => (
        <p key={line} className="mb-1 text-[13px] font-semibold text-amber">
          {line}
        </p>
      ))}
      {changed.length > 0 ? (
        <p className="mb-2 text-[13px] text-muted">{byHand > 0 ? `${byHand} of them you placed by hand.` : 'Pins you placed stay.'}</p>
      ) : null}
      <div className="flex flex-wrap gap-1.5">
        {changed.length > 0 ? (
          <>
            <Button tone="main" keyName="Alt+Enter" onClick={onTake}>
              Take
            </Button>
            <Button onClick={onShow} aria-pressed={shown}>
              {shown ? 'Show before' : 'Show'}
            </Button>
          </>
        ) : null}
        <Button onClick={onLeave}>Leave</Button>
      </div>
    </Card>
  );
}
