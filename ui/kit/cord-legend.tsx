import type { Arrival, Loss } from "@/core/chain";
import styles from "./cord-legend.module.css";
import { CordView } from "./cord";
import type { CordPiece, Texture } from "@/core/drawing";
import { verdictWords } from "@/core/text";
import { VerdictMark } from "./verdict-mark";
import { kitWords } from "@/ui/words";

const TEXTURES: readonly { texture: Texture; words: string; ring?: boolean }[] = [
  { texture: "lossless", words: kitWords.lossless },
  { texture: "lossy", words: kitWords.lossyNative },
  { texture: "re-encoded", words: kitWords.codedAgain },
  { texture: "analogue", words: kitWords.analogue },
  { texture: "upmixed", words: kitWords.upmixed },
  { texture: "never-sent", words: kitWords.neverSent, ring: true },
  { texture: "unknown", words: kitWords.notKnownFromHere },
];
const CEILING: Loss = { reason: { code: "no-object-decoder", device: "", objects: "atmos" }, hop: 0, scope: "ceiling" };
const VERDICTS: readonly Pick<Arrival, "verdict" | "losses">[] = [
  { verdict: "full", losses: [] },
  { verdict: "full", losses: [CEILING] },
  { verdict: "reduced", losses: [] },
  { verdict: "silent", losses: [] },
  { verdict: "no-picture", losses: [] },
  { verdict: "unknown", losses: [] },
];

/** The one explanation of the notation, wherever it is asked for. */
export function CordLegend() {
  return (
    <div className={styles.legend}>
      <p>{kitWords.cordWords}</p>
      <ul>
        {TEXTURES.map(({ texture, words, ring = false }) => (
          <Sample key={texture} pieces={[{ string: "L", from: 0, to: 1, texture, ring }]} words={words} />
        ))}
        <Sample pieces={[{ string: "objects", from: 0, to: 1, texture: "lossless", ring: false }]} words={kitWords.objects} />
      </ul>
      <ul className={styles.verdicts}>
        {VERDICTS.map((row) => (
          <li key={verdictWords(row)}>
            <VerdictMark row={row} />
          </li>
        ))}
      </ul>
    </div>
  );
}

function Sample({ pieces, words }: { pieces: readonly CordPiece[]; words: string }) {
  return (
    <li className={styles.sample}>
      <svg width="90" height="20" viewBox="0 0 90 20" aria-hidden="true">
        <CordView
          cord={{ strings: ["L"], hasObjects: false, pieces, notches: [], lossStop: null }}
          stops={[]}
          xs={[4, 84]}
          height={pieces[0]?.string === "objects" ? 40 : 20}
          quietStops
        />
      </svg>
      <span>{words}</span>
    </li>
  );
}
