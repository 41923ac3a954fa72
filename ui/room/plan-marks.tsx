import { acrossInto, type Box, boxOfLabel, firstClear, outlinePoints, wedgePath, type Label, type PlanScale } from "@/core/drawing";
import type { Placement, Spot } from "@/core/job";
import { boundsOf, facingOfUnit, mainSeat, type RoomAnswer, type RoomUnit, type Thing } from "@/core/room";
import { angleWords, PLACING_WORDS } from "@/core/text";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { PLACING_SIGNS, worstPlacing } from "./placing-sign";
import styles from "./plan.module.css";

/** How far along a wall its length may stand, the usual place first. */
const ALONG = [0.86, 0.7, 0.5, 0.3, 0.14] as const;
/** What a length covers of the drawing, and from the middle of that to the line that it is written on. */
const FIGURE = { long: 52, high: 16, toBaseline: 4 } as const;

interface SidesProps {
  readonly answer: RoomAnswer;
  readonly scale: PlanScale;
  /** What other marks and names cover. */
  readonly taken: readonly Box[];
}

/** How long the walls are, beside them, where nothing else is. */
export function Sides({ answer, scale, taken }: SidesProps) {
  const { units } = usePreferences();
  const { outline } = answer.scene.space;
  if (!outline) return null;
  return outline.map((from, index) => {
    const to = outline[(index + 1) % outline.length] ?? from;
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    const isUpright = Math.abs(to.x - from.x) < Math.abs(to.y - from.y);
    const away = isUpright ? (to.y > from.y ? 14 : -14) : to.x > from.x ? -10 : 18;
    const at = (along: number): Box => ({
      x: scale.x(from.x + (to.x - from.x) * along) + (isUpright ? away - FIGURE.toBaseline : 0),
      y: scale.y(from.y + (to.y - from.y) * along) + (isUpright ? 0 : away - FIGURE.toBaseline),
      width: isUpright ? FIGURE.high : FIGURE.long,
      height: isUpright ? FIGURE.long : FIGURE.high,
    });
    const [usual, ...others] = ALONG;
    const { x, y } = firstClear([at(usual), ...others.map(at)], taken);
    return (
      <text
        key={`${from.x} ${from.y}`}
        className={styles.figure}
        textAnchor="middle"
        transform={
          isUpright
            ? `translate(${(x + FIGURE.toBaseline).toFixed(1)} ${y.toFixed(1)}) rotate(-90)`
            : `translate(${x.toFixed(1)} ${(y + FIGURE.toBaseline).toFixed(1)})`
        }
      >
        {formatLength(long, units)}
      </text>
    );
  });
}

const REACH_M = 6;

/** The windows of the channels of the chosen unit. */
export function Wedges({ answer, chosen, scale }: { answer: RoomAnswer; chosen: Extract<Thing, { thing: "unit" }>; scale: PlanScale }) {
  const seat = mainSeat(answer.scene.space)?.at;
  const { outline } = answer.scene.space;
  if (!seat) return null;
  const own = answer.speakers.filter(
    ({ device, unit, window, driver }) => device.id === chosen.device && unit.id === chosen.unit && window && driver.tiltDeg === null,
  );
  return (
    <g clipPath={outline ? "url(#room-walls)" : undefined}>
      {outline ? (
        <clipPath id="room-walls">
          <polygon points={outlinePoints(outline, scale)} />
        </clipPath>
      ) : null}
      {own.map(({ channel, window }) =>
        window ? <path key={channel} d={wedgePath(answer.scene.space, seat, window, REACH_M, scale)} className={styles.wedge} /> : null,
      )}
    </g>
  );
}

export function DistanceLine({ from, to, scale, words }: { from: Spot; to: Spot; scale: PlanScale; words: string }) {
  const [x1, y1, x2, y2] = [scale.x(from.x), scale.y(from.y), scale.x(to.x), scale.y(to.y)];
  return (
    <g className={styles.distance}>
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      <text x={(x1 + x2) / 2} y={(y1 + y2) / 2 - 6} textAnchor="middle">
        {words}
      </text>
    </g>
  );
}

const LEAST_PX = 12;
const OUTLET_PX = 12;

export const SEAT_LABEL_PX = 29;
const LETTER_PX = 7;

/** How large a unit is from above. */
function sizeOf({ unit: { size } }: RoomUnit, { perMetre }: PlanScale): { readonly width: number; readonly depth: number } {
  const drawn = (mm: number) => Math.max(LEAST_PX, (mm / 1000) * perMetre);
  return { width: drawn(size?.widthMm ?? 200), depth: drawn(size?.depthMm ?? 200) };
}

/** A unit's name is above it, near the screen's wall below it. */
const unitLabelY = (one: RoomUnit, scale: PlanScale): number => {
  const { depth } = sizeOf(one, scale);
  return one.placement && one.placement.at.y < 0.9 ? depth / 2 + 18 : -depth / 2 - 7;
};

/** From a wall to a name. */
const OFF_WALL_PX = 5;

/** Where the names of seats and units would be by themselves, between the walls. */
export function labelsOf({ scene }: RoomAnswer, scale: PlanScale): readonly Label[] {
  const { space, units } = scene;
  const box = space.outline && boundsOf(space.outline);
  const label = (key: string, at: Spot, down: number, letters: number): Label => {
    const own = { x: scale.x(at.x), width: letters * LETTER_PX };
    const across = box ? acrossInto(own, scale.x(box.x) + OFF_WALL_PX, scale.x(box.x + box.width) - OFF_WALL_PX) : 0;
    return { key, x: own.x + across, y: scale.y(at.y) + down, width: own.width };
  };
  return [
    ...space.obstacles.map(({ id, at, name }) => label(`obstacle ${id}`, at, 4, name.length)),
    ...space.seats.flatMap(({ id, at, name }) => (at ? [label(`seat ${id}`, at, SEAT_LABEL_PX, name.length)] : [])),
    ...units.flatMap((one) =>
      one.placement
        ? [label(`unit ${one.device.id} ${one.unit.id}`, one.placement.at, unitLabelY(one, scale), one.unit.name.length + 2)]
        : [],
    ),
  ];
}

/** What the marks of a plan and their names cover. */
export function takenBy(
  { scene }: RoomAnswer,
  scale: PlanScale,
  labels: readonly Label[],
  apart: ReadonlyMap<string, number>,
): readonly Box[] {
  const { space, units } = scene;
  const box = (at: Spot, width: number, height: number): Box => ({ x: scale.x(at.x), y: scale.y(at.y), width, height });
  return [
    ...labels.map((label) => boxOfLabel(label, apart.get(label.key) ?? 0)),
    ...space.obstacles.map(({ at, widthM, depthM }) => box(at, widthM * scale.perMetre, depthM * scale.perMetre)),
    ...space.outlets.map(({ at }) => box(at, OUTLET_PX, OUTLET_PX)),
    ...units.flatMap((one) => {
      const { width, depth } = sizeOf(one, scale);
      return one.placement ? [box(one.placement.at, Math.max(width, depth), Math.max(width, depth))] : [];
    }),
  ];
}

/** How far a name is moved from where it would be by itself. */
export interface NameMoved {
  readonly across: number;
  readonly down: number;
}

interface UnitMarkProps {
  readonly one: RoomUnit;
  readonly answer: RoomAnswer;
  readonly scale: PlanScale;
  readonly name: NameMoved;
}

/** A unit from above: its box to scale, turned as it faces, a tick on its front, its name and how it stands to its window. */
export function UnitMark({ one, answer, scale, name }: UnitMarkProps) {
  const { unit } = one;
  const { width, depth } = sizeOf(one, scale);
  const placing = worstPlacing(answer, one);
  return (
    <>
      <circle r={22} className={styles.touch} />
      <g transform={`rotate(${(-facingOfUnit(answer.scene.space, one)).toFixed(1)})`}>
        <rect x={-width / 2} y={-depth / 2} width={width} height={depth} rx={2} className={styles[placing ?? "unknown"]} />
        <path d={`M0 ${(depth / 2).toFixed(1)}v5`} className={styles.front} />
      </g>
      <text className={styles.unitText} textAnchor="middle" x={name.across} y={unitLabelY(one, scale) + name.down}>
        {placing ? `${PLACING_SIGNS[placing]} ` : ""}
        {unit.name}
      </text>
    </>
  );
}

export function unitLabel(answer: RoomAnswer, one: RoomUnit): string {
  const placing = worstPlacing(answer, one);
  const first = answer.speakers.find(({ device, unit }) => device === one.device && unit === one.unit);
  return [one.unit.name, first && first.azimuthDeg !== null ? angleWords(first.azimuthDeg) : "", placing ? PLACING_WORDS[placing] : ""]
    .filter(Boolean)
    .join(", ");
}

/** Where a unit is proposed. */
export function Ghost({ one, placement, scale }: { one: RoomUnit; placement: Placement; scale: PlanScale }) {
  return (
    <g className={styles.ghost} transform={`translate(${scale.x(placement.at.x).toFixed(1)} ${scale.y(placement.at.y).toFixed(1)})`}>
      <circle r={11} />
      <text textAnchor="middle" y={25}>
        {one.unit.name}
      </text>
    </g>
  );
}

export const Outlet = () => (
  <>
    <circle r={16} className={styles.touch} />
    <rect x={-OUTLET_PX / 2} y={-OUTLET_PX / 2} width={OUTLET_PX} height={OUTLET_PX} rx={3} className={styles.outlet} />
    <path d="M-2 -1v2M2 -1v2" className={styles.head} />
  </>
);
