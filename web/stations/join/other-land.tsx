import { useEffect, useState } from 'react';
import type { Package } from '../../../core/part';
import { useStore } from '../../store';
import { db } from '../../store/db';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/field';

/** The land of another part on the Shelf, to be taken for this package. */
export function OtherLand({ onTake, disabled }: { onTake: (from: Package, part: string) => void; disabled: boolean }) {
  const own = useStore((s) => s.part.id);
  const [lands, setLands] = useState<{ key: string; part: string; pkg: Package }[] | null>(null);
  const [key, setKey] = useState('');
  useEffect(() => {
    void db.parts.toArray().then((all) =>
      setLands(
        all
          .filter((r) => r.id !== own)
          .flatMap((r) =>
            r.part.packages.filter((p) => p.land.pads.length > 0).map((pkg) => ({ key: `${r.id} ${pkg.id}`, part: r.part.name, pkg })),
          )
          .sort((a, b) => (a.part < b.part ? -1 : 1)),
      ),
    );
  }, [own]);
  const chosen = lands?.find((l) => l.key === key);
  return (
    <div className="flex items-end gap-2">
      <div className="w-96">
        <Choice
          label="Land of"
          value={key}
          options={[
            { value: '', label: lands?.length === 0 ? 'no other part has a land' : 'choose…' },
            ...(lands ?? []).map((l) => ({ value: l.key, label: `${l.part}, ${l.pkg.name}, ${l.pkg.land.pads.length} pads` })),
          ]}
          onChange={setKey}
        />
      </div>
      <Button tone="main" disabled={disabled || !chosen} onClick={() => chosen && onTake(chosen.pkg, chosen.part)}>
        Take this land
      </Button>
    </div>
  );
}
