/** A zigzag or slow wave from `from` to `to` along `y`, in SVG path form; it always ends exactly at `to`. */
export function zigzag({
  from,
  to,
  y,
  amplitude,
  period,
}: {
  from: number;
  to: number;
  y: number;
  amplitude: number;
  period: number;
}): string {
  const half = period / 2;
  const points: string[] = [`M${from} ${y}`];
  let up = true;
  for (let x = from + half / 2; x < to; x += half) {
    points.push(`L${x.toFixed(1)} ${(y + (up ? -amplitude : amplitude)).toFixed(1)}`);
    up = !up;
  }
  return `${points.join("")}L${to.toFixed(1)} ${y}`;
}
