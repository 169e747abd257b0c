import { useEffect, useRef, useState } from 'react';
import { freshId, sayProblem, type Model } from '../../../core/part';
import type { FoundModels, SpiceModel } from '../../../core/spice';
import { useAct, useStore } from '../../store';
import { MODEL_FILES, sayOthers } from '../../store/brought';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectPart } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Card } from '../../ui/card';
import { counted } from '../../ui/counted';
import { Drop } from '../../ui/drop';
import { say } from '../../ui/toasts';
import { chooseFiles, readFileText } from '../../ui/files';
import { core } from '../../workers/core';
import { ModelSettingsView } from './model-settings';

/** A source over so many characters is not shown for typing in, and so many models of it are listed at once. */
const LONG = 400_000;
const MOST = 200;

/** What stands in the form: a file or text that was brought, or the text of the part's own model. */
interface Draft {
  /** True where it is to be a model beside those that the part has. */
  isOther: boolean;
  name: string;
  text: string;
}

interface Props {
  /** The model in view; undefined where the part has none. */
  current: Model | undefined;
  /** A file that was dropped at the station, to be read at once. */
  came: File | undefined;
  onInView: (id: string) => void;
  onDone: () => void;
}

/** Takes a SPICE file by drop, paste or choice, lists its models, and makes the chosen one the part's. */
export function ModelForm({ current: given, came, onInView, onDone }: Props) {
  const act = useAct();
  const part = useStore(selectPart);
  // A part of unlike halves has a model for each: another one is added beside those that it has.
  const [draft, setDraft, dropDraft] = useDraft<Draft>(`model ${given?.id ?? ''}`, () => ({
    isOther: false,
    name: given?.fileName ?? 'pasted model',
    text: given?.source ?? '',
  }));
  const { isOther, name, text } = draft;
  const current = isOther ? undefined : given;
  const [query, setQuery] = useState('');
  const [found, setFound] = useState<FoundModels | null>(null);
  const models = found?.models ?? [];
  const message = found?.problems.slice(0, 2).map(sayProblem).join(' ');
  const asked = useRef(0);
  /** Reads in the worker; an answer that a later question has overtaken is dropped. */
  const find = async (source: string, words = '') => {
    const turn = ++asked.current;
    setQuery(words);
    const { name: own, baseName, orderCodes } = part;
    const answer = await core.findModels(source, words, MOST, { name: own, orderCodes, ...(baseName === undefined ? {} : { baseName }) });
    if (turn === asked.current) setFound(answer);
  };
  const read = (source: string, file: string) => {
    setDraft({ ...draft, text: source, name: file });
    return find(source);
  };
  const fromFiles = async ([file, ...left]: File[]) => {
    const others = sayOthers({ left }, true);
    if (others) act(say(others));
    if (file) await read(await readFileText(file), file.name);
  };
  useEffect(() => {
    // What was begun before is listed again.
    if (!came && text !== '' && text !== current?.source) void find(text);
    if (came) void fromFiles([came]);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [came]);
  const take = async ({ name: chosen }: SpiceModel) => {
    const to = { fileName: name, source: text, chosen };
    if (current) {
      const { model, kept, loose } = await core.newVersionOf(current, to);
      act(edited({ kind: 'setModel', model }));
      if (kept > 0)
        act(say(`Kept ${counted(kept, 'tie')} of ${chosen}. ${loose.length > 0 ? `To be tied again: ${loose.join(', ')}.` : ''}`));
      onInView(model.id);
    } else {
      const id = freshId('m', new Set(part.models.map((m) => m.id)));
      act(edited({ kind: 'setModel', model: { id, ...to, ties: {} } }));
      onInView(id);
    }
    leave();
  };
  const leave = () => {
    dropDraft();
    onDone();
  };
  const addOther = () => {
    setDraft({ isOther: true, text: '', name: 'pasted model' });
    setFound(null);
  };
  return (
    <Card
      label="SPICE model"
      title={isOther ? 'Another SPICE model' : 'SPICE model'}
      aside="drop a file here, paste its text, or choose it"
      className="mx-4 mb-2 shrink-0"
    >
      <Drop label="Drop the model file" onFiles={(f) => void fromFiles(f)}>
        <div className="grid grid-cols-[1fr_320px] gap-3">
          <div>
            <label htmlFor="model-text" className="sr-only">
              Text of the model file
            </label>
            <textarea
              id="model-text"
              spellCheck={false}
              value={text.length > LONG ? '' : text}
              placeholder={'* connections: …\n.subckt NAME in+ in- vcc vee out'}
              onChange={(e) => void read(e.target.value, name)}
              className="h-32 w-full resize-none rounded-md border border-line p-2 font-mono text-[12px] whitespace-pre"
            />
          </div>
          <div className="max-h-32 overflow-y-auto">
            {found && (found.total > 8 || query !== '') ? (
              <input
                aria-label="Find a model by its name"
                value={query}
                placeholder={`find among ${found.total}`}
                onChange={(e) => void find(text, e.target.value)}
                className="mb-1 w-full rounded-md border border-line px-2 py-0.5 text-[13px]"
              />
            ) : null}
            {models.length === 0 ? <p className="text-[13px] text-muted">The models of the file are listed here.</p> : null}
            <ul className="flex flex-col gap-1">
              {models.map((m, i) => (
                <li key={`${m.name} ${m.line}`}>
                  <Button className={`w-full justify-between ${i < (found?.own ?? 0) ? '!border-green' : ''}`} onClick={() => void take(m)}>
                    <span className="font-mono font-bold">{m.name}</span>
                    <span className="text-muted">
                      {i < (found?.own ?? 0) && models.length > 1 ? 'by the part’s name; ' : ''}
                      {m.device}, {counted(m.nodes.length, 'node')}
                      {m.section === undefined ? '' : `, section ${m.section}`}
                      {m.sealed ? ', encrypted' : ''}
                    </span>
                  </Button>
                </li>
              ))}
            </ul>
          </div>
        </div>
        {current ? <ModelSettingsView model={current} /> : null}
        {message ? (
          <p role="alert" className="mt-2 text-[13px] text-brick">
            {message}
          </p>
        ) : null}
        <div className="mt-2 flex gap-2">
          <Button onClick={() => void chooseFiles(MODEL_FILES).then(fromFiles)}>Choose a file…</Button>
          {current ? (
            <Button
              tone="bad"
              onClick={() => {
                act(edited({ kind: 'removeModel', model: current.id }));
                leave();
              }}
            >
              Remove the model
            </Button>
          ) : null}
          {current && models.length === 0 ? (
            <Button onClick={() => void find(current.source)}>Choose another model of {current.fileName}</Button>
          ) : null}
          {current ? <Button onClick={addOther}>Add another model</Button> : null}
          <Button tone="quiet" onClick={leave}>
            Close
          </Button>
        </div>
      </Drop>
    </Card>
  );
}
