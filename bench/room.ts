import { makeSignal, planSignal, readRecording } from "@/core/measure";
import { emptySpace } from "@/core/job";
import { gridFor, proposePlaces, roomAnswer, sceneOf } from "@/core/room";
import { roomPages } from "@/core/drawing";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";

/** Rooms of the demo jobs: everything that is said of them, and the search for places. */
export function benchRooms(timed: (call: () => unknown, rounds?: number) => number) {
  return demoJobNames().flatMap((name) => {
    const job = demoJob(name);
    return job.rooms
      .filter(({ space }) => space)
      .map((room) => ({
        room: `${name}, ${room.id}`,
        speakers: roomAnswer(job, room).speakers.length,
        "answer ms": Number(timed(() => roomAnswer(job, room)).toFixed(2)),
        "places ms": Number(timed(() => proposePlaces(sceneOf(job, room), { gridM: gridFor(room.space ?? emptySpace()) }), 5).toFixed(0)),
        "pages ms": Number(
          timed(() => roomPages({ job, answer: roomAnswer(job, room), units: "metric", firm: "", date: "", paper: "a4" }), 20).toFixed(1),
        ),
      }));
  });
}

/** A minute's recording of a signal of eight channels. */
export function benchRecording(): readonly { readonly work: string; readonly ms: number }[] {
  const plan = planSignal("7.1");
  const rate = plan.sampleRate;
  let start = performance.now();
  const signal = makeSignal(plan);
  const made = performance.now() - start;
  const samples = new Float64Array(60 * rate);
  for (const list of signal.channels) list.forEach((sample, n) => (samples[n + rate / 10] = (samples[n + rate / 10] ?? 0) + sample));
  start = performance.now();
  const read = readRecording({ sampleRate: rate, channels: [samples] }, plan);
  if (!read.ok) throw new Error(read.refusal.code);
  return [
    { work: "make a signal of eight channels", ms: Math.round(made) },
    { work: "read a recording of 60 s", ms: Math.round(performance.now() - start) },
  ];
}
