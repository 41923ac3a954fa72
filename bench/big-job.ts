import { fromShelfOrThrow, withMoreSockets, type Device } from "@/core/device";
import { applyCommand, emptyJob, joinSockets, whyNotPlug, type Job } from "@/core/job";

const KINDS = ["streamer-4k", "console-mat", "disc-player-4k", "set-top-box"];

/**
 * A job of one television, one receiver and `players` players shared out between them, both with as many inputs as that takes,
 * and spare screens up to twice as many devices as players. Every cable is laid through the same rules as by hand.
 */
export function bigJob(players: number): Job {
  let job = emptyJob(`Bench ${players}`);
  const inputs = Math.ceil(players / 2);
  add(widened(fromShelfOrThrow("tv-earc", { id: "tv" }), "hdmi1", inputs));
  add(widened(fromShelfOrThrow("receiver-72", { id: "receiver" }), "hdmi-in1", inputs));
  plug("receiver", "hdmi-out", "tv", "hdmi3");
  for (let n = 0; n < players; n += 1) {
    add(fromShelfOrThrow(KINDS[n % KINDS.length] ?? "streamer-4k", { id: `player-${n}`, name: `Player ${n}` }));
    const hub = n % 2 ? "tv" : "receiver";
    const port = job.devices
      .find((device) => device.id === hub)
      ?.ports.find(
        (row) =>
          row.direction === "in" &&
          row.id !== "hdmi3" &&
          !whyNotPlug(job, { device: `player-${n}`, port: "hdmi-out" }, { device: hub, port: row.id }),
      );
    if (port) plug(`player-${n}`, "hdmi-out", hub, port.id);
  }
  while (job.devices.length < players * 2) add(fromShelfOrThrow("projector", { id: `spare-${job.devices.length}` }));
  return job;

  function add(device: Device) {
    job = applyOrThrow(job, { kind: "add-device", device, at: null });
  }
  function plug(from: string, output: string, to: string, input: string) {
    job = applyOrThrow(job, joinSockets(job, { device: from, port: output }, { device: to, port: input }));
  }
}

/** The device with `more` further sockets like the one named. */
const widened = (device: Device, like: string, more: number): Device =>
  withMoreSockets(
    device,
    like,
    Array.from({ length: more }, (_, index) => `${like}-x${index}`),
  );

function applyOrThrow(job: Job, command: Parameters<typeof applyCommand>[1]): Job {
  const result = applyCommand(job, command);
  if (!result.ok) throw new Error(JSON.stringify(result.refusal));
  return result.value.job;
}
