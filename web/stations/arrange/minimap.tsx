import type { PlacedUnit } from './layout';
import type { ViewControl } from './view';

const [WIDTH, HEIGHT] = [168, 112];

/** All units at a glance, with what is in view; a click goes there. Shown where the units do not all fit. */
export function Minimap({
  units,
  view,
  stage,
}: {
  units: readonly PlacedUnit[];
  view: ViewControl;
  stage: { width: number; height: number };
}) {
  if (units.length < 2) return null;
  const left = Math.min(...units.map((u) => u.x - u.halfWidth));
  const right = Math.max(...units.map((u) => u.x + u.halfWidth));
  const top = Math.min(...units.map((u) => u.y - u.halfHeight));
  const base = Math.max(...units.map((u) => u.y + u.halfHeight));
  const { x, y, scale } = view.settled;
  const seen = { x: -x / scale, y: -y / scale, w: stage.width / scale, h: stage.height / scale };
  const whole = seen.x <= left && seen.y <= top && seen.x + seen.w >= right && seen.y + seen.h >= base;
  if (whole) return null;
  const pad = Math.max(right - left, base - top) * 0.04;
  return (
    <svg
      role="img"
      aria-label="All units; click to go there"
      width={WIDTH}
      height={HEIGHT}
      viewBox={`${left - pad} ${top - pad} ${right - left + 2 * pad} ${base - top + 2 * pad}`}
      className="cursor-pointer rounded-md border border-line bg-surface/90 shadow-card"
      onClick={(e) => {
        const matrix = e.currentTarget.getScreenCTM();
        if (!matrix) return;
        const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse());
        view.panBy(stage.width / 2 - (at.x * scale + view.live.current.x), stage.height / 2 - (at.y * scale + view.live.current.y));
      }}
    >
      {units.map((u) => (
        <g key={u.unit.id}>
          <rect
            x={u.x - u.halfWidth}
            y={u.y - u.halfHeight}
            width={u.halfWidth * 2}
            height={u.halfHeight * 2}
            className="fill-paper stroke-line"
            strokeWidth={pad * 0.2}
          />
          <text
            x={u.x}
            y={u.y}
            textAnchor="middle"
            dominantBaseline="central"
            fontSize={Math.min(u.halfWidth, u.halfHeight)}
            className="fill-ink"
            fontWeight={700}
          >
            {u.unit.label}
          </text>
        </g>
      ))}
      <rect x={seen.x} y={seen.y} width={seen.w} height={seen.h} fill="none" className="stroke-green" strokeWidth={pad * 0.5} />
    </svg>
  );
}
