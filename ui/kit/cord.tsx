import { zigzag, type Cord, type CordPiece, type CordStop } from "@/core/drawing";
import styles from "./cord.module.css";

interface CordViewProps {
  readonly cord: Cord;
  readonly stops: readonly CordStop[];
  /** The x of each stop, and of the far end after them. */
  readonly xs: readonly number[];
  readonly height: number;
  /** 4 in a row of the score, 3 in a thumbnail. */
  readonly gap?: number;
  readonly quietStops?: boolean;
}

/** A stub for strings that get nowhere. */
const STUB = 26;

/** The signature drawing: eight strings between bar lines. Drawn inside an `svg` that carries the spoken form. */
export function CordView({ cord, stops, xs, height, gap = 4, quietStops = false }: CordViewProps) {
  const top = height / 2 - ((cord.strings.length - 1) * gap) / 2;
  // Beyond the last thing drawn no sound stands still anywhere.
  const reach = Math.max(0, cord.lossStop ?? 0, ...cord.pieces.map((piece) => (piece.ring ? piece.to : stops.length)));
  const y = (piece: CordPiece) => (piece.string === "objects" ? top - gap - 6 : top + cord.strings.indexOf(piece.string) * gap);
  return (
    <g className={styles.cord}>
      {cord.pieces.map((piece) => (
        <Piece
          key={`${piece.string}-${piece.from}-${piece.texture}`}
          piece={piece}
          from={xs[piece.from] ?? 0}
          to={endOf(piece, xs)}
          y={y(piece)}
        />
      ))}
      {quietStops
        ? null
        : stops
            .filter((_, index) => index <= reach)
            .map((stop, index) => <circle key={stop.key} className={styles.stop} cx={xs[index]} cy={height / 2} r={3.5} />)}
      {cord.notches.map((stop) => (
        <path key={stop} className={styles.notch} d={`M${xs[stop]} ${top - 7}l-4 -6h8z`} />
      ))}
    </g>
  );
}

const endOf = (piece: CordPiece, xs: readonly number[]): number =>
  piece.to <= piece.from ? (xs[piece.from] ?? 0) + STUB : (xs[piece.to] ?? xs.at(-1) ?? 0);

function Piece({ piece, from, to, y }: { piece: CordPiece; from: number; to: number; y: number }) {
  const isObjects = piece.string === "objects";
  const wavy = isObjects || piece.texture === "analogue";
  const end = piece.ring ? to - 3 : to;
  const d = wavy ? zigzag({ from, to: end, y, amplitude: isObjects ? 2.5 : 1.5, period: isObjects ? 9 : 14 }) : `M${from} ${y}H${end}`;
  const kind = `${styles.string} ${styles[piece.texture] ?? ""} ${isObjects ? styles.objects : ""}`;
  return (
    <>
      <path className={kind} d={d} />
      {piece.ring ? <circle className={`${styles.ring} ${isObjects ? styles.objectsRing : ""}`} cx={to} cy={y} r={2} /> : null}
    </>
  );
}
