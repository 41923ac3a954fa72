interface Point {
  readonly x: number;
  readonly y: number;
}

/** A cubic piece of a cable's run; a straight piece is one whose handles lie on it. */
type Piece = readonly [start: Point, handle: Point, handle: Point, end: Point];

/** The run of a cable on the map, piece after piece. */
export type Curve = readonly Piece[];

/** How far a cable leaves its socket straight before it bends. */
const LEAST_BEND = 44;

/** A run from socket to socket that leaves and enters level; `side` is 1 where a socket looks right, -1 where it looks left. */
export function directCurve(from: Point & { side: number }, to: Point & { side: number }): Curve {
  const bend = Math.max(LEAST_BEND, Math.abs(to.x - from.x) / 2);
  return [[from, { x: from.x + from.side * bend, y: from.y }, { x: to.x + to.side * bend, y: to.y }, to]];
}

/** A run that passes the lane between its ends level at `height`, `gap` being the width of the space between two lanes. */
export function passingCurve(from: Point, to: Point, height: number, gap: number): Curve {
  const side = Math.sign(to.x - from.x);
  const enter = { x: from.x + side * gap, y: height };
  const leave = { x: to.x - side * gap, y: height };
  const half = (side * gap) / 2;
  return [
    [from, { x: from.x + half, y: from.y }, { x: enter.x - half, y: height }, enter],
    [enter, enter, leave, leave],
    [leave, { x: leave.x + half, y: height }, { x: to.x - half, y: to.y }, to],
  ];
}

/** The point halfway along the middle piece of a run. */
export function middleOf(curve: Curve): Point {
  const piece = curve[Math.floor(curve.length / 2)];
  return (piece && sample(piece, 2)[0]) ?? { x: 0, y: 0 };
}

/** The run as the `d` of an SVG path. */
export const curvePath = (curve: Curve): string =>
  curve
    .map(([start, a, b, end], index) => `${index ? "" : `M${start.x} ${start.y}`}C${a.x} ${a.y} ${b.x} ${b.y} ${end.x} ${end.y}`)
    .join("");

/** The zigzag of objects along a run, raised by `above`. */
export function zigzagAlong(curve: Curve, above: number): string {
  const amplitude = 2.5;
  const points = curve.flatMap((piece) => sample(piece, Math.max(2, Math.round(lengthOf(piece) / 4.5))));
  return points
    .map(({ x, y }, index) => `${index ? "L" : "M"}${x.toFixed(1)} ${(y - above + (index % 2 ? amplitude : -amplitude)).toFixed(1)}`)
    .join("");
}

const lengthOf = ([start, , , end]: Piece): number => Math.hypot(end.x - start.x, end.y - start.y);

function sample([p0, p1, p2, p3]: Piece, count: number): Point[] {
  return Array.from({ length: count }, (_, index) => {
    const t = (index + 1) / count;
    const u = 1 - t;
    const at = (axis: "x" | "y") => u ** 3 * p0[axis] + 3 * u ** 2 * t * p1[axis] + 3 * u * t ** 2 * p2[axis] + t ** 3 * p3[axis];
    return { x: at("x"), y: at("y") };
  });
}
