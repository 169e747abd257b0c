import { memo, useMemo } from 'react';
import { nameOnDrawing, padsIn, type Package, type Pad, type Part } from '../../../core/part';
import { useStore } from '../../store';
import { selectSelectedSet } from '../../store/selectors';
import { Empty } from '../../ui/card';

interface Props {
  part: Part;
  pkg: Package | undefined;
  onPad: (pad: string) => void;
}

/** The package seen from the top, each pad with its number; a pad with no pin is dashed, the selected pins' pads are lit. */
export function LandView({ part, pkg, onPad }: Props) {
  const selected = useStore(selectSelectedSet);
  const owners = useMemo(() => {
    const map = new Map<string, { ids: string[]; name: string }>();
    for (const p of part.pins)
      for (const pad of padsIn(p, pkg?.id)) {
        const before = map.get(pad);
        map.set(pad, {
          ids: [...(before?.ids ?? []), p.id],
          name: before ? `${before.name}, ${nameOnDrawing(p)}` : nameOnDrawing(p),
        });
      }
    return map;
  }, [part.pins, pkg?.id]);
  if (!pkg || pkg.land.pads.length === 0)
    return <Empty title="No land yet">Make it from a short name like SO-14, or from the dimensions in the datasheet, with L.</Empty>;
  const { land } = pkg;
  const w = Math.max(land.courtyard?.w ?? 0, ...land.pads.map((p) => (Math.abs(p.x) + p.w / 2) * 2)) * 1.06;
  const h = Math.max(land.courtyard?.h ?? 0, ...land.pads.map((p) => (Math.abs(p.y) + p.h / 2) * 2)) * 1.06;
  const named = land.pads.length <= 130 && land.family !== 'grid' && land.family !== 'header' && land.family !== 'inline';
  // Over an exposed pad names would be unreadable: there they stand outside.
  const outside = named && land.pads.some((p) => p.x === 0 && p.y === 0);
  const thin = (Math.max(w, h) * (outside ? 1.3 : 1)) / 400;
  const lit = new Set([...owners].filter(([, o]) => o.ids.some((id) => selected.has(id))).map(([pad]) => pad));
  return (
    <figure className="flex h-full min-h-0 flex-col">
      <svg
        viewBox={outside ? `${-w * 0.65} ${-h * 0.65} ${w * 1.3} ${h * 1.3}` : `${-w / 2} ${-h / 2} ${w} ${h}`}
        className="min-h-0 flex-1"
        role="group"
        aria-label={`Land of ${pkg.name}, seen from the top`}
      >
        {land.body ? (
          <rect
            x={-land.body.w / 2}
            y={-land.body.h / 2}
            width={land.body.w}
            height={land.body.h}
            className="fill-body stroke-ink"
            strokeWidth={thin * 1.6}
          />
        ) : null}
        {land.pads[0] ? <FirstPad pad={land.pads[0]} thin={thin} /> : null}
        {land.pads.map((pad, i) => (
          <PadView key={i} pad={pad} owner={owners.get(pad.number)?.name} lit={lit.has(pad.number)} thin={thin} onPad={onPad} />
        ))}
        {named
          ? land.pads.map((pad, i) => (
              <PadName key={i} pad={pad} name={owners.get(pad.number)?.name} lit={lit.has(pad.number)} thin={thin} outside={outside} />
            ))
          : null}
        {land.pads.length > 130
          ? land.pads
              .filter((p) => lit.has(p.number))
              .slice(0, 12)
              .map((pad) => (
                <Callout key={pad.number} pad={pad} text={`${pad.number} ${owners.get(pad.number)?.name ?? ''}`} thin={thin} half={w / 2} />
              ))
          : null}
      </svg>
      <figcaption className="pb-1 text-center text-[12px] text-muted">
        {pkg.name}, seen from the top{land.body ? `, body ${land.body.w} × ${land.body.h} mm` : ''}
      </figcaption>
    </figure>
  );
}

const PadView = memo(function PadView({
  pad,
  owner,
  lit,
  thin,
  onPad,
}: {
  pad: Pad;
  owner: string | undefined;
  lit: boolean;
  thin: number;
  onPad: (pad: string) => void;
}) {
  const x = pad.x - pad.w / 2;
  const y = -pad.y - pad.h / 2;
  const r =
    pad.shape === 'circle' || pad.shape === 'oval'
      ? Math.min(pad.w, pad.h) / 2
      : pad.shape === 'roundrect'
        ? Math.min(pad.w, pad.h) / 5
        : 0;
  const size = Math.min(pad.h * 0.72, (pad.w * 1.3) / Math.max(2, pad.number.length), Math.max(pad.h, pad.w) * 0.42, thin * 26);
  const turn = pad.h > pad.w * 1.6;
  const font = turn ? Math.min(pad.w * 0.72, pad.h * 0.42) : size;
  const state = pad.mechanical ? 'mechanical' : owner === undefined ? 'no pin' : owner;
  const tone = lit
    ? 'fill-halo stroke-green'
    : pad.mechanical
      ? 'fill-sunken stroke-muted'
      : owner === undefined
        ? 'fill-amber-wash stroke-amber-line'
        : 'fill-green-wash stroke-green';
  return (
    // The ledger and the loose-pads card reach every pad by the keyboard.

    <g
      data-end={`pad ${pad.number}`}
      role="img"
      aria-label={`Pad ${pad.number}: ${state}`}
      className="cursor-pointer"
      onClick={() => onPad(pad.number)}
    >
      <title>{`${pad.number}: ${state}`}</title>
      <rect
        x={x}
        y={y}
        width={pad.w}
        height={pad.h}
        rx={r}
        className={tone}
        strokeWidth={lit ? thin * 3 : thin}
        strokeDasharray={owner === undefined && !pad.mechanical ? `${thin * 4} ${thin * 3}` : undefined}
      />
      {pad.drill ? <circle cx={pad.x} cy={-pad.y} r={pad.drill / 2} className="fill-paper stroke-muted" strokeWidth={thin} /> : null}
      <text
        x={pad.x}
        y={-pad.y + font * 0.34}
        fontSize={font}
        textAnchor="middle"
        className="fill-ink font-mono"
        transform={turn ? `rotate(-90 ${pad.x} ${-pad.y})` : undefined}
      >
        {pad.number}
      </text>
    </g>
  );
});

/** The pin's name inside the body beside its pad, so that the drawing reads like the datasheet's. */
const PadName = memo(function PadName({
  pad,
  name,
  lit,
  thin,
  outside,
}: {
  pad: Pad;
  name: string | undefined;
  lit: boolean;
  thin: number;
  outside: boolean;
}) {
  if (name === undefined || (pad.x === 0 && pad.y === 0)) return null;
  const flat = pad.w >= pad.h;
  const size = Math.min(Math.min(pad.w, pad.h) * 0.7, thin * 15);
  const text = name.length > 12 ? `${name.slice(0, 11)}…` : name;
  const out = outside ? -1 : 1;
  const reach = (flat ? pad.w : pad.h) / 2 + thin * 5;
  const [x, y] = flat ? [pad.x - Math.sign(pad.x) * reach * out, -pad.y] : [pad.x, -pad.y + Math.sign(pad.y) * reach * out];
  // Turned texts read upwards: what stands below the pad ends at it.
  const before = flat ? pad.x * out < 0 : pad.y * out < 0;
  const turn = flat ? undefined : `rotate(-90 ${x} ${y})`;
  return (
    <text
      x={x}
      y={y}
      dy={size * 0.34}
      fontSize={size}
      textAnchor={before ? 'start' : 'end'}
      transform={turn}
      className={`pointer-events-none font-mono ${lit ? 'fill-ink font-bold' : 'fill-muted'}`}
    >
      {text}
    </text>
  );
});

/** The mark of the first pad: a small triangle outside that points to it. */
function FirstPad({ pad, thin }: { pad: Pad; thin: number }) {
  const [s, gap] = [thin * 8, thin * 6];
  const [x, y] = [pad.x - pad.w / 2, -pad.y - pad.h / 2 - gap];
  return <path d={`M${x} ${y - s}H${x + s * 1.6}L${x + s * 0.8} ${y}Z`} className="fill-ink" />;
}

/** The number and name of a lit pad in large, where the pads themselves are too small to read. */
function Callout({ pad, text, thin, half }: { pad: Pad; text: string; thin: number; half: number }) {
  const size = thin * 15;
  const width = text.length * size * 0.632 + thin * 10;
  const x = Math.min(Math.max(pad.x - width / 2, -half), half - width);
  const y = -pad.y - pad.h / 2 - size * 1.7;
  return (
    <g className="pointer-events-none">
      <rect x={x} y={y} width={width} height={size * 1.4} rx={thin * 3} className="fill-surface stroke-green" strokeWidth={thin} />
      <text x={x + width / 2} y={y + size} fontSize={size} textAnchor="middle" className="fill-ink font-mono">
        {text}
      </text>
    </g>
  );
}
