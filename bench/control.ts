import { fromShelfOrThrow } from "@/core/device";
import { actFigures, actsOf, curesOf, householdOf, judgeAct, judgeAll, readTrace, simulate } from "@/core/cec";
import { emptyJob, joinSockets, type Job } from "@/core/job";
import { addressNamesOf, frameWords } from "@/core/text";
import { made } from "@/demo/room-under-test";

/** A room of twelve devices on one control wire: a screen, a receiver, nine players at both, and a bar that is one too many. */
function twelve(): Job {
  const devices = [
    fromShelfOrThrow("tv-earc-120", { id: "tv", name: "Television" }),
    fromShelfOrThrow("receiver-92", { id: "receiver", name: "Receiver" }),
    ...Array.from({ length: 10 }, (_, index) =>
      fromShelfOrThrow(index % 2 ? "console-mat" : "set-top-box", { id: `p${index}`, name: `Player ${index}` }),
    ),
  ];
  const bare: Job = { ...emptyJob("Twelve"), devices };
  const inputs = (id: string) =>
    devices.find((one) => one.id === id)?.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in") ?? [];
  const free = [
    ...inputs("receiver").map(({ id }) => ({ device: "receiver", port: id })),
    ...inputs("tv").map(({ id }) => ({ device: "tv", port: id })),
  ];
  const back = inputs("tv").find((port) => port.connector === "hdmi" && port.returns !== "none")?.id ?? "hdmi1";
  const joined = made(bare, joinSockets(bare, { device: "receiver", port: "hdmi-out" }, { device: "tv", port: back }));
  return free
    .filter(({ device, port }) => !(device === "tv" && port === back))
    .slice(0, 10)
    .reduce((job, end, index) => made(job, joinSockets(job, { device: `p${index}`, port: "hdmi-out" }, end)), joined);
}

/** Times on the control bus: one act, all acts of a room, a long pasted trace. */
export function benchControl(timed: (call: () => unknown, rounds?: number) => number) {
  const job = twelve();
  const household = householdOf(job);
  const quarrel = judgeAll(household).find(({ verdict }) => verdict.verdict !== "as-wished");
  const pasted = Array.from(
    { length: 20_000 },
    (_, index) => `${(index * 0.12).toFixed(3)} 4F:82:${(16 + (index % 3) * 16).toString(16)}:00`,
  ).join("\n");
  return [
    {
      devices: job.devices.length,
      "one act ms": Number(timed(() => judgeAct(household, { act: "screen-on" }), 100).toFixed(2)),
      "all acts ms": Number(timed(() => judgeAll(householdOf(job)), 20).toFixed(1)),
      "figures for a planner ms": Number(timed(() => actFigures(householdOf(job), actsOf(household)), 20).toFixed(1)),
      "cures of one act ms": Number(timed(() => (quarrel ? curesOf(household, quarrel) : []), 3).toFixed(0)),
      "one trace ms": Number(
        timed(() => simulate(household.stations, [{ atMs: 0, device: "tv", key: { press: "power-on" } }]), 100).toFixed(2),
      ),
      "20,000 pasted frames ms": Number(
        timed(() => readTrace(pasted).map(({ frame }) => frame && frameWords(frame, addressNamesOf(household, 0))), 5).toFixed(0),
      ),
    },
  ];
}
