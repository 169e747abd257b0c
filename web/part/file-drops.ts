import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { sayProblem } from '../../core/part';
import { useAct, useStore } from '../store';
import { bringSource, broughtToJoin, purposeOf, tellBrought, tooLarge } from '../store/brought';
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
    const bring = async (file: File) => {
      const purpose = purposeOf(file.name, pathname.endsWith('/join'));
      if (id === null || readOnly) return act(say('This part is only looked at here: nothing is taken into it.', 'bad'));
      if (purpose === undefined)
        return act(
          say(`${file.name} is none of the files that a part is made from: a datasheet or pin table, a SPICE model, pads.`, 'bad'),
        );
      const large = tooLarge(file);
      if (large) return act(say(sayProblem(large), 'bad'));
      if (purpose === 'source') bringSource(id, { name: file.name, bytes: await readFileBytes(file) });
      else broughtToJoin.set(id, { kind: purpose, file });
      await navigate(`/part/${id}/${purpose === 'source' ? 'read' : 'join'}`);
      tellBrought();
    };
    const onDragOver = (e: DragEvent) => {
      if (e.dataTransfer?.types.includes('Files')) e.preventDefault();
    };
    const onDrop = (e: DragEvent) => {
      const file = e.dataTransfer?.files[0];
      if (e.defaultPrevented || !file) return;
      e.preventDefault();
      void bring(file);
    };
    window.addEventListener('dragover', onDragOver);
    window.addEventListener('drop', onDrop);
    return () => {
      window.removeEventListener('dragover', onDragOver);
      window.removeEventListener('drop', onDrop);
    };
  }, [act, navigate, id, readOnly, pathname]);
}
