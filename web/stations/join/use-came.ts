import { useEffect, useState } from 'react';
import { useStore } from '../../store';
import { broughtToJoin, onBrought } from '../../store/brought';

type Came = { kind: 'model' | 'pads'; file: File };

/** The file that was dropped for the part in view, until `done` is said; `onCome` is told of it once. */
export function useCame(onCome: (kind: Came['kind']) => void): { came: Came | undefined; done: () => void } {
  const id = useStore((s) => s.part.id);
  const [came, setCame] = useState<Came>();
  useEffect(() => {
    const take = () => {
      const waiting = broughtToJoin.get(id ?? '');
      if (!waiting) return;
      broughtToJoin.delete(id!);
      setCame(waiting);
      onCome(waiting.kind);
    };
    take();
    return onBrought(take);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id]);
  return { came, done: () => setCame(undefined) };
}
