import type { Job } from "@/core/job";
import { roomAnswer, type Placing, type RoomAnswer, type Speaker, type Spoiler } from "@/core/room";
import {
  loadSentence,
  mountingSentence,
  placingSentence,
  reachSentence,
  roomTroubleSentence,
  swappedSentence,
  MIRRORED_SENTENCE,
  wireSentence,
} from "@/core/text";

/** The machine form of the rooms of a job: the outside contract of `octachord room --json` and `/api/jobs/:id/room`. Angles are positive to the left. */
export const roomsReport = (job: Job) => ({ rooms: job.rooms.map((room) => roomReport(job, roomAnswer(job, room))) });
export type RoomsReport = ReturnType<typeof roomsReport>;

function roomReport(job: Job, answer: RoomAnswer) {
  const { room, space } = answer.scene;
  const { systems } = answer;
  return {
    id: room.id,
    name: room.name,
    temperatureC: space.temperatureC,
    speedOfSound: rounded(answer.speedOfSound, 3),
    speakers: answer.speakers.map((speaker) => speakerReport(answer, speaker)),
    upFiring: answer.upFiring.map((way) => ({
      device: way.speaker.device.id,
      unit: way.speaker.unit.id,
      channel: way.speaker.channel,
      imageHeightM: rounded(way.imageHeightM, 4),
      pathM: rounded(way.pathM, 4),
      elevationDeg: rounded(way.elevationDeg, 3),
      azimuthDeg: rounded(way.azimuthDeg, 3),
      bounceM: rounded(way.bounceM, 4),
      lateMs: rounded(way.lateMs, 4),
      worksFromM: rounded(way.worksFromM, 4),
      worksToM: rounded(way.worksToM, 4),
      blockedBy: blockedBy(way.spoiledBy),
    })),
    systems: systems.map(({ device, addedMs, otherSeats }) => ({
      device,
      addedMs: rounded(addedMs, 4),
      otherSeats: otherSeats.map(({ seat, speakers }) => ({
        seat: seat.id,
        speakers: speakers.map(({ speaker, lateMs, louderDb }) => ({
          unit: speaker.unit.id,
          channel: speaker.channel,
          lateMs: rounded(lateMs, 3),
          louderDb: rounded(louderDb, 2),
        })),
      })),
    })),
    wire: answer.wire.map((run) => ({
      device: run.one.device.id,
      unit: run.one.unit.id,
      lengthM: rounded(run.lengthM, 3),
      ohm: rounded(run.ohm, 5),
      limitOhm: rounded(run.limitOhm, 5),
      mm2: run.mm2,
      awg: run.awg,
      ok: run.mm2 !== null || run.awg !== null,
      words: wireSentence(run, "metric"),
    })),
    loads: answer.loads.map((load) => ({ ...load, ohm: rounded(load.ohm, 4), words: loadSentence(job, load) })),
    mounting: answer.mounting.map((one) => ({
      device: one.one.device.id,
      unit: one.one.unit.id,
      massKg: one.massKg,
      ratedKg: one.ratedKg,
      anchors: one.anchors,
      eachKg: one.eachKg,
      anchor: one.anchor,
      needs: one.needs,
      words: mountingSentence(one),
    })),
    screen: answer.view && {
      distanceM: rounded(answer.view.distanceM, 3),
      viewingDeg: rounded(answer.view.viewingDeg, 2),
      upDeg: rounded(answer.view.upDeg, 2),
    },
    problems: [
      ...answer.troubles.map((trouble) => ({ code: trouble.code as string, words: roomTroubleSentence(job, room.id, trouble, "metric") })),
      ...(answer.mirrored
        ? [{ code: "mirrored", words: MIRRORED_SENTENCE }]
        : answer.swapped.map((pair) => ({ code: "swapped", words: swappedSentence(pair) }))),
      ...answer.reach.map((fault) => ({ code: `${fault.by}-too-short`, words: reachSentence(job, fault, "metric") })),
      ...answer.loads.filter(({ isAllowed }) => !isAllowed).map((load) => ({ code: "load-too-low", words: loadSentence(job, load) })),
    ],
  };
}

const NO_DIAL = { kind: "none", value: null, unit: null, errorMs: null, outOfRange: false } as const;

function speakerReport(
  { systems }: RoomAnswer,
  { device, unit, channel, window, azimuthDeg, elevationDeg, straightM, placing, ...rest }: RoomAnswer["speakers"][number],
) {
  const system = systems.find((one) => one.device === device.id);
  const isSame = ({ speaker }: { readonly speaker: Speaker }) => speaker.unit === unit && speaker.driver === rest.driver;
  const time = system?.times.find(isSame);
  const level = system?.levels.find(isSame);
  return {
    device: device.id,
    unit: unit.id,
    channel,
    azimuthDeg: azimuthDeg === null ? null : rounded(azimuthDeg, 3),
    elevationDeg: elevationDeg === null ? null : rounded(elevationDeg, 3),
    distanceM: rounded(time?.distance.metres ?? straightM, 4),
    distanceFrom: time?.distance.from ?? "none",
    window: window && { minDeg: window.minDeg, maxDeg: window.maxDeg, lowDeg: window.lowDeg, highDeg: window.highDeg },
    placed: placing.placed,
    words: placingSentence({ device, unit, channel, window, azimuthDeg, elevationDeg, straightM, ...rest }, placing as Placing, "metric"),
    delayMs: rounded(time?.delayMs ?? null, 4),
    dial: time?.dial
      ? {
          kind: time.dial.kind,
          value: time.dial.value,
          unit: time.dial.unit,
          errorMs: rounded(time.dial.errorMs, 4),
          outOfRange: time.dial.outOfRange,
        }
      : NO_DIAL,
    asDeliveredMs: rounded(time?.asDeliveredMs ?? null, 4),
    trimDb: level?.dial?.db ?? null,
    trimName: level?.dial?.name ?? null,
    trimLeftDb: rounded(level?.dial?.leftDb ?? null, 3),
    trimFrom: level?.from ?? "none",
  };
}

function blockedBy(spoiler: Spoiler | null): string | null {
  if (spoiler === null) return null;
  return spoiler.code === "obstacle" ? spoiler.id : spoiler.code;
}

function rounded(figure: number, digits: number): number;
function rounded(figure: number | null, digits: number): number | null;
function rounded(figure: number | null, digits: number): number | null {
  return figure === null ? null : Number(figure.toFixed(digits));
}
