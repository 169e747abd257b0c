type Point = [number, number];

/** Chords that an arc is drawn with: at 24 a half circle ten steps wide is off by about one hundredth of a step at most. */
const CHORDS = 24;

/**
 * Points along the arc that starts at the first of three points, runs through the second and ends at the third. Three
 * points on a line, or fewer than three, come back as they are.
 */
export function arcPoints(points: readonly Point[]): Point[] {
  const [a, b, c] = points;
  if (!a || !b || !c) return [...points];
  const centre = centreOf(a, b, c);
  if (!centre) return [a, b, c];
  const [cx, cy] = centre;
  const radius = Math.hypot(a[0] - cx, a[1] - cy);
  const angle = ([x, y]: Point) => Math.atan2(y - cy, x - cx);
  const from = angle(a);
  const turn = (to: number) => (to - from + 4 * Math.PI) % (2 * Math.PI);
  // Counter-clockwise if the middle point is met before the last that way round.
  const sweep = turn(angle(b)) < turn(angle(c)) ? turn(angle(c)) : turn(angle(c)) - 2 * Math.PI;
  return Array.from({ length: CHORDS + 1 }, (_, i): Point => {
    const at = from + (sweep * i) / CHORDS;
    return [cx + radius * Math.cos(at), cy + radius * Math.sin(at)];
  });
}

/** The centre of the circle through three points; undefined where they lie on a line. */
function centreOf([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): Point | undefined {
  const d = 2 * (ax * (by - cy) + bx * (cy - ay) + cx * (ay - by));
  if (d === 0) return undefined;
  const [a, b, c] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
  return [(a * (by - cy) + b * (cy - ay) + c * (ay - by)) / d, (a * (cx - bx) + b * (ax - cx) + c * (bx - ax)) / d];
}
