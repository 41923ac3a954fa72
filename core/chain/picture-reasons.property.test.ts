import fc from "fast-check";
import { expect, test } from "vitest";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { arrivalsOf, type Arrival } from "@/core/chain";
import { effectiveSetting, type Device } from "@/core/device";
import { asItStands, type CableEnd, type Job } from "@/core/job";
import type { PictureLoss } from "@/core/picture";

const HDCP = ["none", "1.4", "2.2", "2.3"];

/** Whether what a picture loss states is so, read off the devices, cables and settings of the job alone. */
function isSo(job: Job, { content, player }: Arrival, loss: PictureLoss): boolean {
  const { devices, cables } = asItStands(job);
  const deviceOf = (id: string): Device => {
    const found = devices.find((device) => device.id === id);
    if (!found) throw new Error(`no device ${id}`);
    return found;
  };
  const socketOf = ({ device, port: id }: CableEnd) => deviceOf(device).ports.find((port) => port.id === id);
  const routesOf = (id: string) => deviceOf(id).routes.flatMap((route) => (route.kind === "picture" ? [route] : []));
  const isPlugged = (end: CableEnd) =>
    cables.some(({ from, to }) => [from, to].some(({ device, port }) => device === end.device && port === end.port));
  switch (loss.code) {
    case "picture-hdcp": {
      const socket = socketOf(loss);
      return (
        content.picture?.protected === true &&
        socket?.connector === "hdmi" &&
        socket.hdcp === loss.have &&
        HDCP.indexOf(loss.have) < HDCP.indexOf(loss.need)
      );
    }
    case "picture-rate": {
      const { at, have, need } = loss;
      if (need <= have) return false;
      if (at.kind === "cable") return cables.some(({ id }) => id === at.cable);
      const socket = at.kind === "socket" ? socketOf(at) : undefined;
      return socket?.connector === "hdmi" && [socket.maxGbps, socket.standardGbps].includes(have);
    }
    case "picture-mode":
      return deviceOf(loss.device).display?.maxMode === loss.have;
    case "picture-hdr":
      return (
        content.picture?.hdr === loss.need &&
        ((deviceOf(loss.device).display !== null && !deviceOf(loss.device).display?.hdr.some((hdr) => hdr === loss.need)) ||
          routesOf(loss.device).some(({ hdr }) => hdr !== null && !hdr.some((one) => one === loss.need)))
      );
    case "picture-hdr-off":
      return effectiveSetting(deviceOf(loss.device), "hdr", "planned") === "off";
    case "picture-gaming":
      return deviceOf(loss.device).display?.gaming === false || routesOf(loss.device).some(({ gaming }) => !gaming);
    case "picture-lines":
      return routesOf(loss.device).some(({ makes }) => makes === loss.need);
    case "picture-length":
      return cables.some(({ id, lengthM }) => id === loss.cable && lengthM === loss.need) && loss.need > loss.have;
    case "picture-tight":
      return loss.need !== loss.have;
    case "picture-shut":
      return effectiveSetting(deviceOf(loss.device), loss.setting, "planned") === loss.value;
    case "picture-setting-unknown":
      return effectiveSetting(deviceOf(loss.device), loss.setting, "planned") === null;
    case "picture-plug":
      return isPlugged(loss);
    case "picture-backwards":
      return cables.some(({ id, backwards }) => id === loss.cable && backwards);
    case "picture-forced":
      return effectiveSetting(deviceOf(loss.device), "video-format", "planned") === "forced";
    case "picture-device-state":
      return job.devices.some(({ id, state }) => id === loss.device && state === loss.state);
    case "picture-cable-state":
      return job.cables.some(({ id, state }) => id === loss.cable && state === loss.state);
    case "picture-no-display":
      return deviceOf(loss.device).display === null;
    case "picture-no-way":
      // The picture does get there: it is the player's own, or comes to it by a cable.
      return loss.device === player || cables.some(({ to }) => to.device === loss.device);
    case "picture-unknown": {
      const socket = socketOf(loss);
      return socket?.connector === "hdmi" && (socket.maxGbps === null || socket.hdcp === null);
    }
  }
}

test("what a loss of picture states is so: of the screen, the sockets, the cable or the menu that it names", () => {
  const told = new Map<string, number>();
  fc.assert(
    fc.property(disturbedRooms, (job) => {
      for (const row of arrivalsOf(job)) {
        for (const loss of row.pictureLosses) {
          told.set(loss.code, (told.get(loss.code) ?? 0) + 1);
          expect(isSo(job, row, loss), `${row.id}: ${JSON.stringify(loss)}`).toBe(true);
        }
      }
    }),
    tries(800, 20_000, 78),
  );
  expect(told.size, [...told.keys()].join()).toBeGreaterThan(10);
}, 900_000);
