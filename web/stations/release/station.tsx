import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { sayProblem, type Problem, type Release } from '../../../core/part';
import { compareVersions, latestRelease, makeRelease, partDigest, suggestVersion } from '../../../core/release';
import { fileName } from '../../../core/formats';
import { useCommands } from '../../commands/registry';
import { useAct, useStore } from '../../store';
import { saveNow } from '../../store/autosave';
import { useDraft } from '../../store/drafts';
import { edited } from '../../store/part-slice';
import { selectDoubts, selectPart } from '../../store/selectors';
import { nextSet } from '../../store/view-slice';
import { Button } from '../../ui/button';
import { counted } from '../../ui/counted';
import { download } from '../../ui/files';
import { say } from '../../ui/toasts';
import { core } from '../../workers/core';

/** Release: what stops it, the version and its note, the bundle, and what was released before. */
export function ReleaseStation() {
  const act = useAct();
  const { id } = useParams();
  const part = useStore(selectPart);
  const checks = useStore((s) => s.view.checks);
  const rules = useStore((s) => s.view.rules);
  const readOnly = useStore((s) => s.part.readOnly);
  const doubts = useStore(selectDoubts);
  const suggested = useMemo(() => suggestVersion(part), [part]);
  const [typed, setVersion] = useDraft<string | null>('release version', () => null);
  const version = typed ?? suggested;
  const [note, setNote] = useDraft('release note', () => '');
  const [problems, setProblems] = useState<Problem[]>([]);

  const errors = checks?.findings.filter((f) => f.severity === 'error') ?? [];
  const last = latestRelease(part);
  const digest = useMemo(() => partDigest(part), [part]);
  const unchanged = last?.digest === digest;
  const blocked = errors.length > 0 || doubts.length > 0 || part.pins.length === 0;
  useEffect(() => {
    act(
      nextSet({
        next: blocked
          ? `Next: ${counted(errors.length, 'error')} to settle. Alt+4`
          : unchanged
            ? 'Released as it stands'
            : 'Next: say what this release is',
        note: '',
      }),
    );
  }, [act, blocked, errors.length, unchanged]);

  const release = () => {
    const made = makeRelease(part, version.trim(), note, new Date().toISOString().slice(0, 10), rules);
    if (!made.ok) return setProblems(made.problems);
    setProblems([]);
    act(edited({ kind: 'addRelease', release: made.value }));
    act(say(`Released ${part.name} ${made.value.version}.`));
    setNote('');
    setVersion(null);
    void saveNow();
  };
  const bundle = async (r: Release) => download(`${fileName(part.name)}-${r.version}.zip`, await core.bundle(r), 'application/zip');
  const report = async () =>
    download(`${fileName(part.name)}-check.html`, await core.report(part, { version: 'draft', note: '', digest }), 'text/html');

  useCommands([
    {
      id: 'report',
      title: 'Download the datasheet check as it stands',
      key: 'C',
      group: 'Release',
      can: () => part.pins.length > 0,
      run: () => void report(),
    },
    {
      id: 'release',
      title: 'Release the part',
      key: 'Alt+Enter',
      group: 'Release',
      can: () => !blocked && !readOnly,
      run: release,
    },
    {
      id: 'bundle',
      title: 'Download the latest bundle',
      key: 'B',
      group: 'Release',
      can: () => last !== undefined,
      run: () => void bundle(last!),
    },
  ]);

  const sorted = [...part.releases].sort((a, b) => compareVersions(b.version, a.version));
  return (
    <div className="h-full overflow-y-auto px-5 py-4">
      <div className="mx-auto grid max-w-4xl grid-cols-[minmax(0,1fr)_340px] gap-6 max-[1150px]:grid-cols-1">
        <section aria-label="New release" className="rounded-lg border border-line bg-surface p-4">
          <h1 className="mb-1 text-lg font-bold">
            {unchanged ? `Version ${last.version} is what stands here` : last ? 'Release what has changed' : 'Release the part'}
          </h1>
          <p className="mb-3 text-[13px] text-muted">
            A release is frozen: {counted(part.pins.length, 'pin')}, {counted(part.units.length, 'unit')},{' '}
            {counted(part.packages.length, 'package')}
            {part.models.length > 0 ? `, ${counted(part.models.length, 'model')}` : ''}, under the digest{' '}
            <span className="font-mono">{digest.slice(0, 12)}…</span>
          </p>
          {blocked ? (
            <div role="alert" className="mb-3 rounded-md border border-brick bg-brick-wash px-3 py-2">
              <p className="font-semibold">What stops it</p>
              <ul className="list-inside list-disc text-[13px]">
                {part.pins.length === 0 ? <li>The part has no pins.</li> : null}
                {doubts.length > 0 ? (
                  <li>
                    {doubts.length} {doubts.length === 1 ? 'doubt is' : 'doubts are'} open.{' '}
                    <Link className="text-green underline" to={`/part/${id}/read`}>
                      Settle {doubts.length === 1 ? 'it' : 'them'} in Read
                    </Link>
                  </li>
                ) : null}
                {errors.slice(0, 5).map((f) => (
                  <li key={f.id}>{f.message}</li>
                ))}
                {errors.length > 0 ? (
                  <li>
                    <Link className="text-green underline" to={`/part/${id}/prove`}>
                      {errors.length === 1 ? 'See it in Prove' : `All ${errors.length} errors in Prove`}
                    </Link>
                  </li>
                ) : null}
              </ul>
            </div>
          ) : null}
          <form
            onSubmit={(e) => {
              e.preventDefault();
              release();
            }}
          >
            <div className="mb-2 grid grid-cols-[110px_1fr] gap-3">
              <div>
                <label htmlFor="version" className="mb-0.5 block text-[12px] text-muted">
                  Version
                </label>
                <input
                  id="version"
                  value={version}
                  onChange={(e) => setVersion(e.target.value)}
                  className="w-full rounded-md border border-line px-2 py-1 font-mono"
                />
              </div>
              <div>
                <label htmlFor="note" className="mb-0.5 block text-[12px] text-muted">
                  What this release is
                </label>
                <input
                  id="note"
                  value={note}
                  onChange={(e) => setNote(e.target.value)}
                  placeholder={last ? 'What has changed since, and for whom' : 'First release, for …'}
                  className="w-full rounded-md border border-line px-2 py-1"
                />
              </div>
            </div>
            <p className="mb-3 text-[12.5px] text-muted">
              {last
                ? suggested.endsWith('.0')
                  ? 'Suggested: a new first figure, because pins or connect points changed and boards drawn with the old symbol would differ.'
                  : 'Suggested: the next second figure, because no pin and no connect point changed.'
                : 'Suggested: 1.0, the first.'}
            </p>
            {problems.map((p) => (
              <p key={p.code} role="alert" className="mb-2 text-[13px] text-brick">
                {sayProblem(p)}
              </p>
            ))}
            <Button tone="main" type="submit" keyName="Alt+Enter" disabled={blocked || readOnly} className="max-w-full">
              <span className="truncate">Release {version}</span>
            </Button>{' '}
            <Button keyName="C" onClick={() => void report()} disabled={part.pins.length === 0}>
              Datasheet check
            </Button>
          </form>
        </section>
        <section aria-label="Releases">
          <h2 className="mb-2 font-semibold">{sorted.length === 0 ? 'No release yet' : 'Releases'}</h2>
          <ol className="flex flex-col gap-2">
            {sorted.map((r) => (
              <li key={r.version} className="rounded-lg border border-line bg-surface p-3">
                <p className="flex items-baseline justify-between">
                  <strong className="font-mono text-[15px]">{r.version}</strong>
                  <span className="text-[12.5px] text-muted">{r.date}</span>
                </p>
                <p className="text-[13px]">{r.note}</p>
                <p className="mb-2 truncate font-mono text-[12px] text-muted" title={r.digest}>
                  {r.digest.slice(0, 24)}…
                </p>
                <Button onClick={() => void bundle(r)}>Download the bundle</Button>
              </li>
            ))}
          </ol>
          {sorted.length === 0 ? (
            <p className="text-[13px] text-muted">
              The bundle holds the part file, an SVG per unit, the pin list, the datasheet check, the SPICE library and a manifest with
              their digests.
            </p>
          ) : null}
        </section>
      </div>
    </div>
  );
}
