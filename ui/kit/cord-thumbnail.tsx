import type { Arrival } from "@/core/chain";
import { CordView } from "./cord";
import { cordOf, passedDevices, stopsOf } from "@/core/drawing";

/** A cord small enough for a line of the docket. */
export function CordThumbnail({
  arrival,
  label,
  width = 168,
  height = 40,
}: {
  arrival: Arrival;
  label: string;
  width?: number;
  height?: number;
}) {
  const stops = stopsOf(arrival, passedDevices([arrival]));
  const step = (width - 8) / stops.length;
  const xs = [...stops.map((_, index) => 4 + index * step), width - 4];
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label}>
      <CordView cord={cordOf(arrival, stops)} stops={stops} xs={xs} height={height + 6} gap={3} quietStops />
    </svg>
  );
}
