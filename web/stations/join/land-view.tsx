import { memo, useMemo, useState } from 'react';
import { nameOnDrawing, padOwners, type Package, type Pad, type Part, type Pin } from '../../../core/part';
import { hasOverbar } from '../../../core/shapes';
import { useStore } from '../../store';
import { selectSelectedSet } from '../../store/selectors';
import { Button } from '../../ui/button';
import { Empty } from '../../ui/card';
import { useLandView } from './land-turn';

interface Props {
  part: Part;
  pkg: Package | undefined;
  /** `more` with Shift, Ctrl or Command: besides those that are chosen. */
  onPad: (pad: string, more: boolean) => void;
  /** The places in the land of pads that are ringed. */
  ringed?: readonly number[] | undefined;
  /** A pad that is asked about: it is ringed, and the view follows it. */
  asked?: string | undefined;
  /** Pads that a read-back has settled. */
  settled?: ReadonlySet<string> | undefined;
  /** The pads of the group in view: the others are faint, and a large package is shown as near as they allow. */
  inView?: ReadonlySet<string> | undefined;
}

/** Packages with more pads than this are too small to read as a whole. */
const MANY_PADS = 130;

/** Tints of groups, in the order in which groups first stand in the ledger; each group's name is said below the drawing. */
const TINTS = ['fill-green-wash', 'fill-amber-wash', 'fill-slate-wash', 'fill-brick-wash', 'fill-halo/50', 'fill-sunken'];

/** The package, each pad with its number; a pad with no pin is dashed, the selected pins' pads are lit. */
export function LandView({ part, pkg, onPad, ringed, asked, settled, inView }: Props) {
  const selected = useStore(selectSelectedSet);
  const view = useLandView();
  const [byGroup, setByGroup] = useState(false);
  const [isWhole, setWhole] = useState(false);
  const owners = useMemo(() => padOwners(part, pkg?.id), [part, pkg?.id]);
  const groups = useMemo(() => [...new Set(part.pins.map((p) => p.group ?? ''))], [part.pins]);
  const land = useMemo(() => (pkg ? { ...pkg.land, pads: pkg.land.pads.map(view.turned) } : undefined), [pkg, view.turned]);
  if (!pkg || !land || land.pads.length === 0)
    return <Empty title="No land yet">Make it from a short name like SO-14, or from the dimensions in the datasheet, with L.</Empty>;
  const body = land.body && view.size(land.body);
  const courtyard = land.courtyard && view.size(land.courtyard);
  // A courtyard has room for the first pad's mark; without one the room is made.
  const room = courtyard ? 1.06 : 1.16;
  const w = Math.max(courtyard?.w ?? 0, ...land.pads.map((p) => (Math.abs(p.x) + p.w / 2) * 2)) * room;
  const h = Math.max(courtyard?.h ?? 0, ...land.pads.map((p) => (Math.abs(p.y) + p.h / 2) * 2)) * room;
  const named = land.pads.length <= MANY_PADS && land.family !== 'grid' && land.family !== 'header' && land.family !== 'inline';
  // Over an exposed pad names would be unreadable: there they stand outside.
  const outside = named && land.pads.some((p) => p.x === 0 && p.y === 0);
  const whole = outside ? 1.3 : 1;
  const lit = new Set([...owners].filter(([, own]) => own.some((p) => selected.has(p.id))).map(([pad]) => pad));
  // Zoomed in, the view follows the pad that is asked about, or the first one that is lit.
  const centre = land.pads.find((p) => (asked === undefined ? lit.has(p.number) : p.number === asked));
  const zoom = view.zoom / whole;
  const group = land.pads.length > MANY_PADS && inView ? boundsOf(land.pads.filter((p) => inView.has(p.number))) : undefined;
  const canCome = group !== undefined && Math.max(group.w, group.h) < 0.85 * Math.max(w, h);
  const base = canCome && !isWhole ? group : { x: 0, y: 0, w, h };
  const thin = Math.max(base.w, base.h) / 400 / zoom;
  const [cx, cy] = view.zoom > 1 && centre ? [centre.x, -centre.y] : [base.x, base.y];
  const box = [cx - base.w / 2 / zoom, cy - base.h / 2 / zoom, base.w / zoom, base.h / zoom];
  const name = (pad: Pad) => owners.get(pad.number)?.map(nameOnDrawing).join(', ');
  const tint = (own: Pin[] | undefined) => (byGroup && own?.[0] ? TINTS[groups.indexOf(own[0].group ?? '') % TINTS.length] : undefined);
  const inGroups = byGroup ? groups.filter((g) => part.pins.some((p) => (p.group ?? '') === g)) : [];
  return (
    <figure className="flex h-full min-h-0 flex-col">
      <div role="toolbar" aria-label="View of the package" className="flex shrink-0 flex-wrap gap-x-0.5 gap-y-1 pb-1 [&>button]:!px-2">
        <Button tone="quiet" onClick={view.flip}>
          {view.isBottom ? 'See the top' : 'See the bottom'}
        </Button>
        <Button tone="quiet" onClick={view.turn}>
          Turn
        </Button>
        <Button tone="quiet" aria-label="Show the package larger" onClick={() => view.by(1.5)}>
          +
        </Button>
        <Button tone="quiet" aria-label="Show the package smaller" disabled={view.zoom <= 1} onClick={() => view.by(1 / 1.5)}>
          −
        </Button>
        {canCome ? (
          <Button tone="quiet" aria-pressed={isWhole} onClick={() => setWhole(!isWhole)}>
            {isWhole ? 'Nearer' : 'Whole'}
          </Button>
        ) : null}
        {groups.length > 1 ? (
          <Button tone="quiet" aria-pressed={byGroup} onClick={() => setByGroup(!byGroup)}>
            {byGroup ? 'Groups shown' : 'By group'}
          </Button>
        ) : null}
      </div>
      <svg
        viewBox={box.map((v) => v.toFixed(4)).join(' ')}
        className="min-h-0 flex-1 select-none"
        role="group"
        aria-label={`Land of ${pkg.name}, seen from the ${view.isBottom ? 'bottom' : 'top'}`}
      >
        {body ? (
          <rect x={-body.w / 2} y={-body.h / 2} width={body.w} height={body.h} className="fill-body stroke-ink" strokeWidth={thin * 1.6} />
        ) : null}
        {courtyard ? (
          <rect
            x={-courtyard.w / 2}
            y={-courtyard.h / 2}
            width={courtyard.w}
            height={courtyard.h}
            fill="none"
            className="stroke-line"
            strokeDasharray={`${thin * 6} ${thin * 5}`}
            strokeWidth={thin}
          />
        ) : null}
        {land.pads[0] ? <FirstPad pad={land.pads[0]} thin={thin} /> : null}
        {land.pads.map((pad, i) => (
          <PadView
            key={i}
            pad={pad}
            owner={name(pad)}
            lit={lit.has(pad.number)}
            asked={asked === pad.number || (ringed?.includes(i) ?? false)}
            settled={settled?.has(pad.number) ?? false}
            tint={tint(owners.get(pad.number))}
            faint={inView !== undefined && !inView.has(pad.number) && !lit.has(pad.number)}
            thin={thin}
            onPad={onPad}
          />
        ))}
        {named
          ? land.pads.map((pad, i) => (
              <PadName
                key={i}
                pad={pad}
                name={name(pad)}
                isLow={owners.get(pad.number)?.every(hasOverbar) ?? false}
                lit={lit.has(pad.number)}
                thin={thin}
                outside={outside}
                most={outside ? LONGEST : charactersFor(pad, land.pads, thin)}
              />
            ))
          : null}
        {land.pads.length > MANY_PADS
          ? land.pads
              .filter((p) => lit.has(p.number))
              .slice(0, 12)
              .map((pad) => (
                <Callout
                  key={pad.number}
                  pad={pad}
                  text={`${pad.number} ${name(pad) ?? ''}`}
                  thin={thin}
                  from={cx - base.w / 2}
                  to={cx + base.w / 2}
                />
              ))
          : null}
      </svg>
      {inGroups.length > 0 ? (
        <ul aria-label="Groups" className="flex max-h-14 shrink-0 flex-wrap justify-center gap-x-3 overflow-y-auto text-[12px]">
          {inGroups.map((g) => (
            <li key={g} className="flex items-center gap-1">
              <svg width="12" height="12" aria-hidden="true">
                <rect width="12" height="12" rx="2" className={`${TINTS[groups.indexOf(g) % TINTS.length]} stroke-green`} />
              </svg>
              {g || 'no group'}
            </li>
          ))}
        </ul>
      ) : null}
      <figcaption className="pb-1 text-center text-[12px] text-muted">
        {pkg.name}, seen from the {view.isBottom ? 'bottom' : 'top'}
        {land.body ? `, body ${land.body.w} × ${land.body.h}${land.heightMm ? ` × ${land.heightMm}` : ''} mm` : ''}
      </figcaption>
    </figure>
  );
}

/** The place that pads take, with some room around them; y downwards as on the screen. */
function boundsOf(pads: readonly Pad[]): { x: number; y: number; w: number; h: number } | undefined {
  if (pads.length === 0) return undefined;
  const [left, right] = [Math.min(...pads.map((p) => p.x - p.w / 2)), Math.max(...pads.map((p) => p.x + p.w / 2))];
  const [low, high] = [Math.min(...pads.map((p) => p.y - p.h / 2)), Math.max(...pads.map((p) => p.y + p.h / 2))];
  // Callouts of lit pads stand above them.
  const [w, h] = [(right - left) * 1.12, (high - low) * 1.2];
  return { x: (left + right) / 2, y: -(low + high) / 2, w, h };
}

const PadView = memo(function PadView({
  pad,
  owner,
  lit,
  asked,
  settled,
  tint,
  faint,
  thin,
  onPad,
}: {
  pad: Pad;
  owner: string | undefined;
  lit: boolean;
  asked: boolean;
  settled: boolean;
  tint: string | undefined;
  faint: boolean;
  thin: number;
  onPad: (pad: string, more: boolean) => void;
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
  const state = `${pad.mechanical ? 'mechanical' : owner === undefined ? 'no pin' : owner}${settled ? ', read back' : ''}`;
  const tone = lit
    ? 'fill-halo stroke-green'
    : pad.mechanical
      ? 'fill-sunken stroke-muted'
      : owner === undefined
        ? 'fill-amber-wash stroke-amber-line'
        : `${tint ?? 'fill-green-wash'} stroke-green`;
  const hole = holeOf(pad);
  return (
    // The ledger and the loose-pads card reach every pad by the keyboard.

    <g
      data-end={`pad ${pad.number}`}
      role="img"
      aria-label={`Pad ${pad.number}: ${state}`}
      className="cursor-pointer"
      opacity={faint ? 0.35 : undefined}
      onClick={(e) => onPad(pad.number, e.shiftKey || e.ctrlKey || e.metaKey)}
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
      {asked ? (
        <rect
          x={x - thin * 5}
          y={y - thin * 5}
          width={pad.w + thin * 10}
          height={pad.h + thin * 10}
          rx={r + thin * 5}
          fill="none"
          className="stroke-green"
          strokeWidth={thin * 3}
        />
      ) : null}
      {hole ? (
        <rect
          x={pad.x - hole.w / 2}
          y={-pad.y - hole.h / 2}
          width={hole.w}
          height={hole.h}
          rx={Math.min(hole.w, hole.h) / 2}
          className="fill-paper stroke-muted"
          strokeWidth={thin}
        />
      ) : null}
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
      {settled ? <Tick pad={pad} thin={thin} /> : null}
    </g>
  );
});

/** A round hole, or a slot along the pad's longer side. */
function holeOf(pad: Pad): { w: number; h: number } | undefined {
  if (pad.drill === undefined) return undefined;
  const slot = pad.slot ?? pad.drill;
  return pad.w >= pad.h ? { w: slot, h: pad.drill } : { w: pad.drill, h: slot };
}

/** The mark of a pad that was read back. */
function Tick({ pad, thin }: { pad: Pad; thin: number }) {
  const s = Math.min(pad.w, pad.h) * 0.28;
  const [x, y] = [pad.x + pad.w / 2 - s * 1.2, -pad.y - pad.h / 2 + s * 1.1];
  return <path d={`M${x - s} ${y}l${s * 0.7} ${s * 0.6}l${s} ${-s * 1.3}`} fill="none" className="stroke-green" strokeWidth={thin * 3} />;
}

/** The pin's name inside the body beside its pad, so that the drawing reads like the datasheet's. */
/** The longest name beside a pad, in characters, and the room between the two, in thin lines. */
const [LONGEST, GAP] = [12, 5];
/** The advance of the face that names are set in, in font sizes. */
const ADVANCE = 0.6;

const nameSize = (pad: Pad, thin: number): number => Math.min(Math.min(pad.w, pad.h) * 0.7, thin * 15);

/** How much of a name has room inside the body: near a corner it must end before the first name of the side around it. */
function charactersFor(pad: Pad, pads: readonly Pad[], thin: number): number {
  const [along, across] = pad.w >= pad.h ? (['x', 'y'] as const) : (['y', 'x'] as const);
  const others = pads.filter((p) => p.w >= p.h !== pad.w >= pad.h);
  if (others.length === 0) return LONGEST;
  const character = ADVANCE * nameSize(pad, thin);
  const far = (axis: 'x' | 'y', p: Pad) => Math.abs(p[axis]);
  const half = (axis: 'x' | 'y', p: Pad) => (axis === 'x' ? p.w : p.h) / 2;
  const inner = Math.min(...others.map((p) => far(across, p) - half(across, p)));
  if (far(across, pad) < inner - (LONGEST + 1) * character) return LONGEST;
  const first = Math.max(...others.map((p) => far(along, p) + half(along, p)));
  const room = far(along, pad) - half(along, pad) - thin * GAP - first;
  return Math.min(LONGEST, Math.max(3, Math.floor(room / character)));
}

const PadName = memo(function PadName({
  pad,
  name,
  isLow,
  lit,
  thin,
  outside,
  most,
}: {
  pad: Pad;
  name: string | undefined;
  /** Drawn with a bar over it. */
  isLow: boolean;
  lit: boolean;
  thin: number;
  outside: boolean;
  /** So many characters of the name have room. */
  most: number;
}) {
  if (name === undefined || (pad.x === 0 && pad.y === 0)) return null;
  const flat = pad.w >= pad.h;
  const size = nameSize(pad, thin);
  const text = name.length > most ? `${name.slice(0, most - 1)}…` : name;
  const out = outside ? -1 : 1;
  const reach = (flat ? pad.w : pad.h) / 2 + thin * GAP;
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
      textDecoration={isLow ? 'overline' : undefined}
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
function Callout({ pad, text, thin, from, to }: { pad: Pad; text: string; thin: number; from: number; to: number }) {
  const size = thin * 15;
  const width = text.length * size * 0.632 + thin * 10;
  const x = Math.min(Math.max(pad.x - width / 2, from), to - width);
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
