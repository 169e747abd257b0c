import { CartesianGrid, Legend, Line, LineChart, Tooltip, XAxis, YAxis } from 'recharts';
import type { Trial } from '../../../core/spice';

const STROKES = ['var(--green)', 'var(--amber)', 'var(--brick)', 'var(--ink)'];
const DASHES = ['', '6 3', '2 3', '8 2 2 2'];

/** What a trial measured, as a curve; lines differ by their dashes too, so that colour is not all that tells them apart. */
export default function CurveChart({ curve }: { curve: NonNullable<Trial['curve']> }) {
  const data = curve.x.values.map((x, i) => Object.fromEntries([['x', x], ...curve.y.map((y) => [y.label, y.values[i]])]));
  const short = (value: number) => String(Number(value.toPrecision(3)));
  return (
    <LineChart width={420} height={190} data={data} margin={{ top: 6, right: 12, bottom: 18, left: 0 }}>
      <CartesianGrid stroke="var(--line)" strokeDasharray="2 4" />
      <XAxis
        dataKey="x"
        type="number"
        domain={['dataMin', 'dataMax']}
        tickFormatter={short}
        fontSize={11}
        label={{ value: curve.x.label, position: 'insideBottom', offset: -12, fontSize: 11 }}
      />
      <YAxis tickFormatter={short} fontSize={11} width={46} />
      <Tooltip formatter={(value) => short(Number(value))} labelFormatter={(x) => `${curve.x.label}: ${short(Number(x))}`} />
      {curve.y.length > 1 ? <Legend verticalAlign="top" height={22} wrapperStyle={{ fontSize: 11 }} /> : null}
      {curve.y.map((y, i) => (
        <Line
          key={y.label}
          dataKey={y.label}
          stroke={STROKES[i % 4]!}
          strokeDasharray={DASHES[i % 4]!}
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
      ))}
    </LineChart>
  );
}
