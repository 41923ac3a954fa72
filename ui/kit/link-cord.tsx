import type { Stream } from "@/core/chain";
import { streamWords } from "@/core/text";
import { CordView } from "./cord";
import { cordOfStream } from "@/core/drawing";

const STOPS = [{ key: "near", lastHop: 0 }];

/** What one cable carries, as a short cord between the two names that it joins. */
export function LinkCord({
  stream,
  nothing,
  width = 44,
  height = 22,
}: {
  stream: Stream | null;
  nothing: string;
  width?: number;
  height?: number;
}) {
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={stream ? streamWords(stream) : nothing}>
      {stream ? (
        <CordView cord={cordOfStream(stream)} stops={STOPS} xs={[2, width - 2]} height={height + 8} gap={1.5} quietStops />
      ) : (
        <path d={`M2 ${height / 2}H${width - 2}`} stroke="currentColor" strokeOpacity="0.5" strokeDasharray="1 4" />
      )}
    </svg>
  );
}
