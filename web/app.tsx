import { useEffect, useState } from 'react';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Palette } from './commands/palette';
import { PartFrame } from './part/frame';
import { RulesPage } from './rules/page';
import { ShelfPage } from './shelf/page';
import { ArrangeStation } from './stations/arrange/station';
import { JoinStation } from './stations/join/station';
import { ProveStation } from './stations/prove/station';
import { ReadStation } from './stations/read/station';
import { ReleaseStation } from './stations/release/station';
import { useAct } from './store';
import { loadRules } from './store/house-rules';
import { loadDemoOnce, sayDemoError } from './store/library';
import { rulesSet } from './store/view-slice';
import { say, Toasts } from './ui/toasts';

export function App() {
  const act = useAct();
  const [ready, setReady] = useState(false);
  useEffect(() => {
    void (async () => {
      try {
        const rules = await loadRules();
        act(rulesSet(rules));
        await loadDemoOnce(rules);
      } catch (error) {
        act(say(sayDemoError(error), 'bad'));
      }
      setReady(true);
    })();
  }, [act]);
  if (!ready) return <p className="p-8 text-muted">Opening the Shelf…</p>;
  return (
    <BrowserRouter>
      <Routes>
        <Route path="/" element={<ShelfPage />} />
        <Route path="/rules" element={<RulesPage />} />
        <Route path="/part/:id" element={<PartFrame />}>
          <Route index element={<Navigate to="read" replace />} />
          <Route path="read" element={<ReadStation />} />
          <Route path="arrange" element={<ArrangeStation />} />
          <Route path="join" element={<JoinStation />} />
          <Route path="prove" element={<ProveStation />} />
          <Route path="release" element={<ReleaseStation />} />
        </Route>
        <Route path="*" element={<Navigate to="/" replace />} />
      </Routes>
      <Palette />
      <Toasts />
    </BrowserRouter>
  );
}
