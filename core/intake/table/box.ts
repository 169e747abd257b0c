/** x, y, width, height in points. */
export type Box = [number, number, number, number];

export const unite = (boxes: readonly Box[]): Box | undefined => {
  if (boxes.length === 0) return undefined;
  const x = Math.min(...boxes.map((b) => b[0]));
  const y = Math.min(...boxes.map((b) => b[1]));
  return [x, y, Math.max(...boxes.map((b) => b[0] + b[2])) - x, Math.max(...boxes.map((b) => b[1] + b[3])) - y];
};

/** To a tenth of a point, as origins are kept. */
export const tenths = (box: Box): Box => box.map((v) => Math.round(v * 10) / 10) as Box;

/** Points around the texts of a map or a drawing. */
const ROOM = 5;

/** The outline of texts that have no edge of their own: it leaves them room. */
export const withRoom = ([x, y, width, height]: Box): Box => tenths([x - ROOM, y - ROOM, width + 2 * ROOM, height + 2 * ROOM]);
