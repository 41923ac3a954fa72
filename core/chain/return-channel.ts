import type { Cable, CableEnd } from "@/core/job";
import { gateOf, OPEN, type Gate } from "./conditions";
import type { Reason, ReturnLimit, UnknownFact } from "./reason";
import { isBackwards } from "./backwards";
import type { Rig } from "./rig";

/** What becomes of the return along an HDMI cable. */
export type ReturnChannel =
  | { readonly kind: "open"; readonly link: "earc" | "arc"; readonly because: readonly ReturnLimit[] }
  | { readonly kind: "closed"; readonly reasons: readonly Reason[] }
  /** With the link that it is at most, whatever the answer. */
  | {
      readonly kind: "unknown";
      readonly facts: readonly UnknownFact[];
      readonly link: "earc" | "arc";
      readonly because: readonly ReturnLimit[];
    };

/**
 * Whether sound can run back along a cable from the screen's input to the sound system's output, and as what.
 * eARC needs both sockets, the cable's made pair and both switches, and finds its partner by itself. ARC needs one wire and is
 * started over CEC, so it also needs CEC at both ends and its wire between them. Mixed ends fall back to ARC.
 * Source: HDMI 2.1 §9.5 (eARC discovery without CEC); HDMI 1.4 Supplement 2 and CEC 13.17 (ARC initiation).
 */
export function returnChannel(rig: Rig, cable: Cable): ReturnChannel {
  return rig.recall<ReturnChannel>(`return ${cable.id}`, () => negotiate(rig, cable), { kind: "closed", reasons: [] });
}

function negotiate(rig: Rig, cable: Cable): ReturnChannel {
  const ends = [cable.to, cable.from];
  const gates = ends.map((end) => socketGate(rig, end));
  const missing = [
    ...ends.flatMap((end) => missingSocket(rig, end)),
    ...(isBackwards(cable) ? [{ code: "cable-backwards", cable: cable.id } as const] : []),
    ...(cable.returnWires === "none" ? [{ code: "no-return-wire", cable: cable.id } as const] : []),
    ...gates.flatMap(({ reason }) => (reason ? [reason] : [])),
  ];
  if (missing.length) return { kind: "closed", reasons: missing };

  const unknown: UnknownFact[] = ends.filter((end) => returnsOf(rig, end) === null).map((end) => ({ fact: "return-socket", ...end }));
  unknown.push(...gates.flatMap(({ fact }) => (fact ? [fact] : [])));
  if (cable.returnWires === null) unknown.push({ fact: "return-wires", cable: cable.id });
  unknown.push(...unknownSettings(rig, ends, ["earc"]));
  const because = whyNotEarc(rig, cable, ends);
  if (unknown.length) return { kind: "unknown", facts: unknown, link: because.length ? "arc" : "earc", because };
  if (because.length === 0) return { kind: "open", link: "earc", because };

  const unsure = unknownSettings(rig, ends, ["arc", "cec"]);
  const cut: readonly Reason[] = cable.controlWire ? [] : [{ code: "no-control-wire", cable: cable.id, because }];
  const off = ends.flatMap((end): Reason[] => [
    ...(rig.device(end.device)?.speaksCec === false ? [{ code: "no-cec", device: end.device, because } as const] : []),
    ...(["arc", "cec"] as const)
      .filter((setting) => valueAt(rig, end, setting) === "off")
      .map((setting) => ({ code: "return-off", device: end.device, setting, because }) as const),
  ]);
  if (cut.length + off.length) return { kind: "closed", reasons: [...cut, ...off] };
  return unsure.length ? { kind: "unknown", facts: unsure, link: "arc", because } : { kind: "open", link: "arc", because };
}

function whyNotEarc(rig: Rig, cable: Cable, ends: readonly CableEnd[]): ReturnLimit[] {
  return [
    ...ends.filter((end) => returnsOf(rig, end) === "arc").map((end) => ({ code: "socket-arc-only", ...end }) as const),
    ...(cable.returnWires === "arc" ? [{ code: "pair-missing", cable: cable.id } as const] : []),
    ...ends.filter((end) => valueAt(rig, end, "earc") === "off").map((end) => ({ code: "earc-off", device: end.device }) as const),
  ];
}

/** What must hold before a socket's return works at all. */
function socketGate(rig: Rig, end: CableEnd): Gate {
  const device = rig.device(end.device);
  const port = rig.port(end);
  return device && port?.connector === "hdmi" ? gateOf(rig, device, [...port.returnOpens, ...port.turnsWhen]) : OPEN;
}

function returnsOf(rig: Rig, end: CableEnd): "none" | "arc" | "earc" | null {
  const port = rig.port(end);
  return port?.connector === "hdmi" ? port.returns : "none";
}

const missingSocket = (rig: Rig, end: CableEnd): Reason[] => (returnsOf(rig, end) === "none" ? [{ code: "no-return-socket", ...end }] : []);

function valueAt(rig: Rig, end: CableEnd, setting: "earc" | "arc" | "cec"): string | null | undefined {
  const device = rig.device(end.device);
  return device ? rig.setting(device, setting) : undefined;
}

const unknownSettings = (rig: Rig, ends: readonly CableEnd[], keys: readonly ("earc" | "arc" | "cec")[]): UnknownFact[] =>
  ends.flatMap((end) =>
    keys.filter((key) => valueAt(rig, end, key) === null).map((setting) => ({ fact: "setting", device: end.device, setting }) as const),
  );
