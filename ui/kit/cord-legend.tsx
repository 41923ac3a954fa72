import type { Verdict } from "@/core/chain";
import styles from "./cord-legend.module.css";
import { CordView } from "./cord";
import type { CordPiece, Texture } from "./cord-model";
import { VerdictMark } from "./verdict-mark";

const TEXTURES: readonly { texture: Texture; words: string; ring?: boolean }[] = [
  { texture: "lossless", words: "lossless" },
  { texture: "lossy", words: "lossy, as the maker coded it" },
  { texture: "re-encoded", words: "coded again on the way: a second lossy generation, notched where it was done" },
  { texture: "analogue", words: "analogue" },
  { texture: "upmixed", words: "filled by an upmixer; restores nothing" },
  { texture: "never-sent", words: "could have come, was never sent; the ring stands at the hop that forbids it", ring: true },
  { texture: "unknown", words: "not known from here on" },
];
const VERDICTS: readonly Verdict[] = ["full", "reduced", "silent", "no-picture", "unknown"];

/** The one explanation of the notation, wherever it is asked for. */
export function CordLegend() {
  return (
    <div className={styles.legend}>
      <p>
        A cord has one string for each channel, from the top: left, right, centre, bass effects (LFE), left and right surround, left and
        right back. The zigzag above them stands for objects. Strings that are sent and then lost end in a ring at the hop that loses them.
      </p>
      <ul>
        {TEXTURES.map(({ texture, words, ring = false }) => (
          <Sample key={texture} pieces={[{ string: "L", from: 0, to: 1, texture, ring }]} words={words} />
        ))}
        <Sample pieces={[{ string: "objects", from: 0, to: 1, texture: "lossless", ring: false }]} words="objects" />
      </ul>
      <ul className={styles.verdicts}>
        {VERDICTS.map((verdict) => (
          <li key={verdict}>
            <VerdictMark verdict={verdict} />
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
