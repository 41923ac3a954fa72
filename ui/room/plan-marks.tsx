import { outlinePoints, wedgePath, type Label, type PlanScale } from "@/core/drawing";
import type { Placement, Spot } from "@/core/job";
import { facingOfUnit, mainSeat, type RoomAnswer, type RoomUnit, type Thing } from "@/core/room";
import { angleWords, PLACING_WORDS } from "@/core/text";
import { formatLength } from "@/core/units";
import { usePreferences } from "@/ui/preferences";
import { PLACING_SIGNS, worstPlacing } from "./placing-sign";
import styles from "./plan.module.css";

/** How long the walls are, beside them. */
export function Sides({ answer, scale }: { answer: RoomAnswer; scale: PlanScale }) {
  const { units } = usePreferences();
  const { outline } = answer.scene.space;
  if (!outline) return null;
  return outline.map((from, index) => {
    const to = outline[(index + 1) % outline.length] ?? from;
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    const middle = { x: from.x + (to.x - from.x) * 0.86, y: from.y + (to.y - from.y) * 0.86 };
    const isUpright = Math.abs(to.x - from.x) < Math.abs(to.y - from.y);
    const away = isUpright ? (to.y > from.y ? 14 : -14) : to.x > from.x ? -10 : 18;
    return (
      <text
        key={`${from.x} ${from.y}`}
        className={styles.figure}
        textAnchor="middle"
        transform={`translate(${(scale.x(middle.x) + (isUpright ? away : 0)).toFixed(1)} ${(scale.y(middle.y) + (isUpright ? 0 : away)).toFixed(1)})${isUpright ? " rotate(-90)" : ""}`}
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

export const SEAT_LABEL_PX = 29;
const LETTER_PX = 7;

/** A unit's name is above it, near the screen's wall below it. */
const unitLabelY = ({ unit, placement }: RoomUnit, scale: PlanScale): number => {
  const deep = Math.max(LEAST_PX, ((unit.size?.depthMm ?? 200) / 1000) * scale.perMetre);
  return placement && placement.at.y < 0.9 ? deep / 2 + 18 : -deep / 2 - 7;
};

/** Where the names of seats and units would be by themselves. */
export function labelsOf({ scene }: RoomAnswer, scale: PlanScale): readonly Label[] {
  const { space, units } = scene;
  const label = (key: string, at: Spot, down: number, letters: number): Label => ({
    key,
    x: scale.x(at.x),
    y: scale.y(at.y) + down,
    width: letters * LETTER_PX,
  });
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

/** A unit from above: its box to scale, turned as it faces, a tick on its front, its name and how it stands to its window. */
export function UnitMark({ one, answer, scale, down }: { one: RoomUnit; answer: RoomAnswer; scale: PlanScale; down: number }) {
  const { unit } = one;
  const wide = Math.max(LEAST_PX, ((unit.size?.widthMm ?? 200) / 1000) * scale.perMetre);
  const deep = Math.max(LEAST_PX, ((unit.size?.depthMm ?? 200) / 1000) * scale.perMetre);
  const placing = worstPlacing(answer, one);
  return (
    <>
      <circle r={22} className={styles.touch} />
      <g transform={`rotate(${(-facingOfUnit(answer.scene.space, one)).toFixed(1)})`}>
        <rect x={-wide / 2} y={-deep / 2} width={wide} height={deep} rx={2} className={styles[placing ?? "unknown"]} />
        <path d={`M0 ${(deep / 2).toFixed(1)}v5`} className={styles.front} />
      </g>
      <text className={styles.unitText} textAnchor="middle" y={unitLabelY(one, scale) + down}>
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
    <rect x={-6} y={-6} width={12} height={12} rx={3} className={styles.outlet} />
    <path d="M-2 -1v2M2 -1v2" className={styles.head} />
  </>
);
