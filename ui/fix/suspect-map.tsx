import { useMemo } from "react";
import { directCurve, curvePath, placePlates, PLATE, type PlacedPlate } from "@/core/drawing";
import { cableAt, type Job } from "@/core/job";
import type { DiagnoseReport } from "@/core/report";
import { chanceWords } from "@/core/text";
import { fixWords } from "@/ui/words";
import styles from "./fix.module.css";

type Suspects = DiagnoseReport["suspects"];

interface SocketPoint {
  readonly x: number;
  readonly y: number;
  /** 1 where the socket looks right, -1 where it looks left. */
  readonly side: number;
}

/** How much of the suspicion falls on each device and each lead. */
function weightsOf(suspects: Suspects) {
  const devices = new Map<string, number>();
  const cables = new Map<string, number>();
  const add = (to: Map<string, number>, key: string | undefined, share: number) => {
    if (key !== undefined) to.set(key, (to.get(key) ?? 0) + share);
  };
  for (const { at, probability } of suspects)
    for (const place of at) {
      add(cables, place.cable, probability);
      if (place.cable === undefined) add(devices, place.device, probability);
    }
  return { devices, cables };
}

/** The room in its own order, with the sockets alone that hold a plug. */
const plugged = (job: Job): Job => ({
  ...job,
  arrangement: [],
  devices: job.devices.map((device) => ({
    ...device,
    ports: device.ports.filter(({ id }) => cableAt(job, { device: device.id, port: id })),
  })),
});

/** The lanes stand closer than on the large map, so that names can be read in little room, and each plate has room for a name and a share. */
const closer = (plates: readonly PlacedPlate[]): readonly PlacedPlate[] =>
  plates.map((plate) => ({ ...plate, x: plate.x * 0.86, y: plate.y * 1.25, height: Math.max(plate.height, LEAST_HEIGHT) }));

/** As much of a name as fits a plate. */
const shortened = (name: string): string => (name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1).trimEnd()}…` : name);

const NO_WAY: ReadonlySet<string> = new Set();

interface SuspectMapProps {
  readonly job: Job;
  readonly suspects: Suspects;
  /** The leads on the way of what is complained of. */
  readonly way?: ReadonlySet<string>;
}

/** The size of print on the map, in its own units, and what a plate holds of it. */
const PRINT = 29;
const MOST_LETTERS = 13;
const LEAST_HEIGHT = 98;

/** Less than this shows as no suspicion at all. */
const FAINT = 0.02;

/** The devices and leads of the job, small, the suspected ones drawn heavier and with their share. */
export function SuspectMap({ job, suspects, way = NO_WAY }: SuspectMapProps) {
  const plates = useMemo(() => closer(placePlates(plugged(job))), [job]);
  const { devices, cables } = useMemo(() => weightsOf(suspects), [suspects]);
  const right = Math.max(...plates.map(({ x }) => x)) + PLATE.width;
  const bottom = Math.max(...plates.map(({ y, height }) => y + height));
  const share = (weight: number | undefined) => (weight !== undefined && weight >= FAINT ? weight : 0);
  const socketOf = (device: string, port: string): SocketPoint | null => {
    const plate = plates.find((one) => one.device.id === device);
    return plate ? socketAt(plate, port) : null;
  };
  return (
    <figure className={styles.map}>
      <figcaption className="for-ears-only">{fixWords.map}</figcaption>
      <svg viewBox={`-12 -12 ${right + 24} ${bottom + 24}`} role="img" aria-label={fixWords.map}>
        {job.cables.map((cable) => {
          const [from, to] = [socketOf(cable.from.device, cable.from.port), socketOf(cable.to.device, cable.to.port)];
          if (!from || !to) return null;
          const weight = share(cables.get(cable.id));
          return (
            <path
              key={cable.id}
              d={curvePath(directCurve(from, to))}
              className={weight ? styles.suspected : way.has(cable.id) ? styles.way : styles.wire}
              style={{ strokeWidth: weight ? 5 + 14 * weight : way.has(cable.id) ? 7 : 3 }}
            />
          );
        })}
        {plates.map(({ device, x, y, height }) => {
          const weight = share(devices.get(device.id));
          return (
            <g key={device.id} transform={`translate(${x} ${y})`}>
              <rect
                width={PLATE.width}
                height={height}
                rx={12}
                className={weight ? styles.suspected : styles.plate}
                style={{ strokeWidth: weight ? 4 + 12 * weight : 2 }}
              />
              <text x={11} y={40} className={styles.plateName} fontSize={PRINT}>
                {shortened(device.name)}
              </text>
              {weight ? (
                <text x={11} y={78} className={styles.plateName} fontSize={PRINT}>
                  {chanceWords(weight)}
                </text>
              ) : null}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}

function socketAt(plate: PlacedPlate, port: string): SocketPoint {
  const row = Math.max(
    0,
    plate.device.ports.findIndex(({ id }) => id === port),
  );
  const side = plate.sides.get(port) ?? "right";
  return {
    x: plate.x + (side === "right" ? PLATE.width : 0),
    y: plate.y + PLATE.head + (row + 0.5) * PLATE.row,
    side: side === "right" ? 1 : -1,
  };
}
