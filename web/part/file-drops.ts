import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { sayProblem } from '../../core/part';
import { useAct, useStore } from '../store';
import { bringSource, broughtToJoin, largeIn, sayOthers, sorted, tellBrought } from '../store/brought';
import { readFileBytes } from '../ui/files';
import { say } from '../ui/toasts';

/**
 * Files that are dropped where no place of its own takes them go to the station that such files are for: the browser would
 * leave the part and open them instead.
 */
export function useFileDrops(): void {
  const act = useAct();
  const navigate = useNavigate();
  const id = useStore((s) => s.part.id);
  const readOnly = useStore((s) => s.part.readOnly);
  const { pathname } = useLocation();
  useEffect(() => {
    const bring = async (files: readonly File[]) => {
      const isAtJoin = pathname.endsWith('/join');
      const came = sorted(files, isAtJoin);
      const { source, toJoin } = came;
      if (id === null || readOnly) return act(say('This part is only looked at here: nothing is taken into it.', 'bad'));
      if (!source && !toJoin)
        return act(
          say(`${files[0]!.name} is none of the files that a part is made from: a datasheet or pin table, a SPICE model, pads.`, 'bad'),
        );
      const large = largeIn(came);
      if (large) return act(say(sayProblem(large), 'bad'));
      if (toJoin) broughtToJoin.set(id, toJoin);
      if (source) bringSource(id, { name: source.name, bytes: await readFileBytes(source) });
      await navigate(`/part/${id}/${source ? 'read' : 'join'}`);
      const others = sayOthers(came, source === undefined);
      if (others) act(say(others));
      tellBrought();
    };
    const onDragOver = (e: DragEvent) => {
      if (e.dataTransfer?.types.includes('Files')) e.preventDefault();
    };
    const onDrop = (e: DragEvent) => {
      const files = [...(e.dataTransfer?.files ?? [])];
      if (e.defaultPrevented || files.length === 0) return;
      e.preventDefault();
      void bring(files);
    };
    window.addEventListener('dragover', onDragOver);
    window.addEventListener('drop', onDrop);
    return () => {
      window.removeEventListener('dragover', onDragOver);
      window.removeEventListener('drop', onDrop);
    };
  }, [act, navigate, id, readOnly, pathname]);
}
