import { ADVANCE, type Primitive } from '../../core/shapes';

const CLASSES = { body: 'body', pin: 'pin-line', mark: 'mark', rule: 'rule', bus: 'bus-line' } as const;

/** Draws the core's pictures; y is turned over, since screens count down. */
export function Primitives({ items }: { items: readonly Primitive[] }) {
  return (
    <>
      {items.map((p, i) => (
        <Shape key={i} p={p} />
      ))}
    </>
  );
}

function Shape({ p }: { p: Primitive }) {
  switch (p.kind) {
    case 'line':
      return <line x1={p.x1} y1={-p.y1} x2={p.x2} y2={-p.y2} className={CLASSES[p.weight]} />;
    case 'circle':
      return <circle cx={p.x} cy={-p.y} r={p.r} className={p.weight === 'body' && !p.filled ? 'body-open' : CLASSES[p.weight]} />;
    case 'polyline':
      return (
        <polyline
          points={points(p.points)}
          className={p.weight === 'mark' ? 'mark-open' : p.weight === 'body' ? 'body-open' : CLASSES[p.weight]}
        />
      );
    case 'polygon':
      return (
        <polygon
          points={points(p.points)}
          className={p.solid ? 'solid' : p.weight === 'body' && !p.filled ? 'body-open' : CLASSES[p.weight]}
        />
      );
    case 'text':
      return <Text p={p} />;
  }
}

const points = (list: [number, number][]): string => list.map(([x, y]) => `${x},${-y}`).join(' ');

function Text({ p }: { p: Extract<Primitive, { kind: 'text' }> }) {
  const turn = p.upright ? `rotate(-90 ${p.x} ${-p.y})` : undefined;
  const width = [...p.text].length * ADVANCE * p.size;
  const from = p.anchor === 'start' ? p.x : p.anchor === 'end' ? p.x - width : p.x - width / 2;
  const bold = p.role === 'title' || p.role === 'reference';
  const text = (
    <text
      x={p.x}
      y={-p.y + p.size * 0.335}
      transform={p.overbar ? undefined : turn}
      fontSize={p.size}
      textAnchor={p.anchor}
      className={p.role}
      fontWeight={bold ? 700 : undefined}
    >
      {p.text}
    </text>
  );
  if (!p.overbar) return text;
  return (
    <g transform={turn}>
      {text}
      <line x1={from} y1={-p.y - p.size * 0.48} x2={from + width} y2={-p.y - p.size * 0.48} className="mark-open" />
    </g>
  );
}
