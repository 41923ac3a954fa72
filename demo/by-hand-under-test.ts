import { readJob, type Job } from "@/core/job";

/** A job file as somebody writes it by hand, without its format and version. */
interface ByHand {
  readonly name: string;
  readonly devices: readonly object[];
  readonly cables?: readonly object[];
  readonly brief?: object;
}

/** For tests: the job of a file written by hand; one that is refused is a mistake of the test and throws. */
export function jobByHand(file: ByHand): Job {
  const read = readJob({ format: "octachord-job", version: 1, ...file });
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  return read.value;
}

/** An HDMI socket of 18 Gb/s with HDCP 2.2 and no return, but for what is said of it. */
export const hdmiByHand = (id: string, direction: "in" | "out", rest: object = {}) => ({
  id,
  label: id,
  connector: "hdmi",
  direction,
  maxGbps: 18,
  hdcp: "2.2",
  returns: "none",
  ...rest,
});

/** A cable between two sockets written as "device port", of 2 m with every wire, but for what is said of it. */
export function cableByHand(from: string, to: string, rest: object = {}) {
  const end = (words: string) => ({ device: words.split(" ")[0], port: words.split(" ")[1] });
  return {
    id: from.replace(" ", "-"),
    from: end(from),
    to: end(to),
    class: "ultra-high-speed",
    lengthM: 2,
    returnWires: "earc",
    ...rest,
  };
}

/** A player with one film of one sound track, which its socket "out" passes as it is. */
export const playerByHand = (id: string, track: { readonly coding: string; readonly channels: string }, picture: object) => ({
  id,
  name: id,
  role: "player",
  ports: [hdmiByHand("out", "out")],
  sources: [{ id: "own", name: "own", kind: "media", contents: [{ id: "film", name: "film", kind: "film", tracks: [track], picture }] }],
  routes: [
    { kind: "sound", from: ["own"], to: ["out"], passes: [track] },
    { kind: "picture", from: ["own"], to: ["out"] },
  ],
});
