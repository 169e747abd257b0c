import type { Box } from '../table/box';
import type { DocumentPage, Rule, Run } from './page';

/**
 * Turns a page so that most of its text runs from left to right: landscape tables are often set sideways on an upright
 * page. `back` maps a box on the turned page to the page as it is displayed, `to` the other way.
 */
export function upright(page: DocumentPage): { page: DocumentPage; to: (box: Box) => Box; back: (box: Box) => Box } {
  const turns = mainTurns(page.runs);
  if (turns === 0) return { page, to: (box) => box, back: (box) => box };
  const { width: w, height: h } = page;
  // A point on the displayed page, seen after turning the page back by `turns` quarters.
  const point = (x: number, y: number): [number, number] => (turns === 1 ? [y, w - x] : turns === 2 ? [w - x, h - y] : [h - y, x]);
  const origin = (x: number, y: number): [number, number] => (turns === 1 ? [w - y, x] : turns === 2 ? [w - x, h - y] : [y, h - x]);
  const run = (r: Run): Run => {
    const [x, y] = point(r.x, r.y);
    return { ...r, x, y, turns: ((r.turns - turns + 4) % 4) as Run['turns'] };
  };
  const rule = (r: Rule): Rule => {
    const [ax, ay] = point(r.x1, r.y1);
    const [bx, by] = point(r.x2, r.y2);
    return { x1: Math.min(ax, bx), y1: Math.min(ay, by), x2: Math.max(ax, bx), y2: Math.max(ay, by) };
  };
  const by =
    (map: typeof point) =>
    ([x, y, bw, bh]: Box): Box => {
      const [ax, ay] = map(x, y);
      const [bx, by2] = map(x + bw, y + bh);
      return [Math.min(ax, bx), Math.min(ay, by2), Math.abs(bx - ax), Math.abs(by2 - ay)];
    };
  const turned = turns === 2 ? { width: w, height: h } : { width: h, height: w };
  return {
    page: { ...page, ...turned, runs: page.runs.map(run), ...(page.rules ? { rules: page.rules.map(rule) } : {}) },
    to: by(point),
    back: by(origin),
  };
}

function mainTurns(runs: readonly Run[]): Run['turns'] {
  const weight = [0, 0, 0, 0];
  for (const r of runs) weight[r.turns]! += r.text.trim().length;
  return weight.indexOf(Math.max(...weight)) as Run['turns'];
}
