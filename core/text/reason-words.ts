import { connectorFact, linkFact, settingFact, type LinkKind } from "@/core/facts";
import type { Reason, ReturnLimit, UnknownFact } from "@/core/chain";
import { findDevice, type Job } from "@/core/job";
import { formatMegabits } from "@/core/units";
import { cableName, deviceName, listed, socketName, upperFirst } from "./names";
import { CABLE_STATE_SENTENCE, CABLE_STATE_SHORT, DEVICE_STATE_SENTENCE, DEVICE_STATE_SHORT } from "./state-words";
import { codingName } from "./sound-words";
import { settingValueIn } from "./setting-words";

const sourceName = (job: Job, { device, source }: { readonly device: string; readonly source: string }): string =>
  findDevice(job, device)?.sources.find(({ id }) => id === source)?.name ?? source;

const channelCount = (bed: string) => (bed === "2.0" ? "two channels" : `${bed} channels`);
const linkName = (link: LinkKind) =>
  link === "arc" || link === "earc" ? `the return channel (${linkFact(link).name})` : linkFact(link).name;

function limitClause(job: Job, limit: ReturnLimit): string {
  switch (limit.code) {
    case "earc-off":
      return `eARC is off at ${deviceName(job, limit.device)}`;
    case "pair-missing":
      return `${cableName(job, limit.cable)} has the single return wire but not the twisted pair that eARC needs`;
    case "socket-arc-only":
      return `${socketName(job, limit)} has ARC but not eARC`;
  }
}

const becauseClause = (job: Job, limits: readonly ReturnLimit[]): string =>
  limits.length ? ` It is only ARC because ${listed(limits.map((limit) => limitClause(job, limit)))}.` : "";

/** The fact nobody has given, as something to find out. */
export function unknownWords(job: Job, unknown: UnknownFact): string {
  switch (unknown.fact) {
    case "return-socket":
      return `whether ${socketName(job, unknown)} has a return channel`;
    case "return-wires":
      return `which return wires ${cableName(job, unknown.cable)} has`;
    case "setting":
      return `how “${settingFact(unknown.setting).name}” is set at ${deviceName(job, unknown.device)}`;
    case "passes":
      return `which sound ${deviceName(job, unknown.device)} passes on`;
    case "listing":
      return `what ${socketName(job, unknown)} lists in its EDID`;
    case "decoders":
      return `which codings ${deviceName(job, unknown.device)} can decode`;
  }
}

const portAt = (job: Job, { device, port }: { readonly device: string; readonly port: string }) =>
  findDevice(job, device)?.ports.find(({ id }) => id === port);

/** The name of a link over which a sink tells no list; null where it does. */
function linkWithoutList(job: Job, end: { readonly device: string; readonly port: string }): string | null {
  const port = portAt(job, end);
  const link = port && port.connector !== "hdmi" ? connectorFact(port.connector).link : null;
  return link && linkName(link);
}

/** Whether a list is one that a sound system reports at its own output, back along the return channel. */
const isReturn = (job: Job, end: { readonly device: string; readonly port: string }): boolean => portAt(job, end)?.direction === "out";

/** The full sentence of a reason, for the margin, the command line and print. */
export function reasonSentence(job: Job, reason: Reason): string {
  const name = (id: string) => deviceName(job, id);
  switch (reason.code) {
    case "link-capacity":
      return `${codingName(reason.coding)} fills ${formatMegabits(reason.need)}; ${linkName(reason.link)} carries ${formatMegabits(reason.have)}.${becauseClause(job, reason.because)}`;
    case "link-channels":
      return `Decoded sound of ${channelCount(reason.need)} does not fit: ${linkName(reason.link)} carries LPCM of ${channelCount(reason.have)}.${becauseClause(job, reason.because)}`;
    case "format-setting":
      return `${name(reason.device)} ${reason.into ? `turns ${codingName(reason.coding)} ${reason.need} into ${codingName(reason.into)}${reason.have ? ` ${reason.have}` : ""}` : `sends no ${codingName(reason.coding)} ${reason.need}`} while “${settingFact(reason.setting).name}” is set to ${settingValueIn(job, reason.device, reason.setting, reason.value)}.`;
    case "does-not-pass":
      return reason.objects === "none"
        ? `${name(reason.device)} does not pass ${codingName(reason.coding)} on.`
        : `${name(reason.device)} passes ${codingName(reason.coding)} on without its objects.`;
    case "passes-fewer":
      return reason.coding === "lpcm"
        ? `${name(reason.device)} takes LPCM of ${channelCount(reason.have)} there, not of ${reason.need}.`
        : `${name(reason.device)} passes ${codingName(reason.coding)} of at most ${channelCount(reason.have)} on, not of ${reason.need}.`;
    case "cannot-emit":
      if (reason.objects !== "none") return `${name(reason.device)} sends ${codingName(reason.coding)} without its objects.`;
      return reason.have
        ? `${name(reason.device)} sends ${codingName(reason.coding)} of at most ${channelCount(reason.have)}; the content has ${reason.need}.`
        : `${name(reason.device)} cannot send ${codingName(reason.coding)} ${reason.need} of this content.`;
    case "prefers":
      return `${name(reason.device)} could send ${codingName(reason.coding)} ${reason.need}, but prefers to send ${codingName(reason.sent)}.`;
    case "coded-again":
      return `${name(reason.device)} re-encodes ${codingName(reason.from)} as ${codingName(reason.to)}: ${reason.generation === 1 ? "lossless sound becomes lossy" : `lossy coding number ${reason.generation}`}.`;
    case "not-listed": {
      const list =
        reason.objects !== "none"
          ? `lists ${codingName(reason.coding)} without objects`
          : reason.have
            ? `lists ${codingName(reason.coding)} of only ${channelCount(reason.have)}`
            : `does not list ${codingName(reason.coding)}`;
      const sender = reason.sender ? name(reason.sender) : "the player";
      const link = linkWithoutList(job, reason);
      if (link) return `Over ${link} nothing is listed, and without a list ${sender} does not send ${codingName(reason.coding)}.`;
      const seen = reason.copiedBy ? `, and ${name(reason.copiedBy)} shows ${sender} a copy of that list` : "";
      const so = reason.objects === "none" ? "does not send it" : "hides the version with them";
      return `${socketName(job, reason)} ${list} ${isReturn(job, reason) ? "over its return channel" : "in its EDID"}${seen}, so ${sender} ${so}.`;
    }
    case "cannot-decode":
      return `${name(reason.device)} cannot decode ${codingName(reason.coding)}.`;
    case "speakers-fewer":
      return `${name(reason.device)} plays ${reason.have}; the content has ${reason.need}. That is the limit of the sound system itself.`;
    case "no-height-speakers":
      return `${name(reason.device)} has no height speakers: the objects play from its ${reason.have} speakers. That is the limit of the sound system itself.`;
    case "no-object-decoder":
      return `${name(reason.device)} has no decoder for these objects. That is the limit of the sound system itself.`;
    case "no-return-socket":
      return `${socketName(job, reason)} has no return channel, so no sound comes back out of it.`;
    case "no-return-wire":
      return `${upperFirst(cableName(job, reason.cable))} has no return wire, so no sound comes back along it.`;
    case "return-off":
      return reason.setting === "cec"
        ? `HDMI control (CEC) is off at ${name(reason.device)}, and ARC is started over CEC.${becauseClause(job, reason.because)}`
        : `ARC is off at ${name(reason.device)}.${becauseClause(job, reason.because)}`;
    case "no-sound-route":
      return `${name(reason.device)} does not pass the sound of this socket on.`;
    case "speakers-choice":
      return reason.value === "own"
        ? `${name(reason.device)} is set to play from its own speakers, so it sends nothing to the sound system.`
        : `${name(reason.device)} is set to leave sound to the sound system, so its own speakers are mute.`;
    case "setting-shuts":
      return reason.setting === "sound-follows"
        ? `The sound output of ${name(reason.device)} belongs to ${settingValueIn(job, reason.device, reason.setting, reason.value)}, and this screen is on another.`
        : `${name(reason.device)} needs “${settingFact(reason.setting).name}” set to ${reason.wanted.map((value) => settingValueIn(job, reason.device, reason.setting, value)).join(" or ")} here; it is set to ${settingValueIn(job, reason.device, reason.setting, reason.value)}.`;
    case "app-fails-over":
      return `${sourceName(job, reason)} of ${name(reason.device)} stays silent over ${linkName(reason.link)}, although others play.`;
    case "plug-mutes":
      return `A plug in ${socketName(job, reason)} mutes this way.`;
    case "link-lossy":
      return `${upperFirst(linkName(reason.link))} compresses the sound with loss${reason.generation > 1 ? `, lossy coding number ${reason.generation}` : ""}, and plays it about ${reason.delayMs} ms late.`;
    case "no-cec":
      return `${name(reason.device)} takes no part in HDMI control (CEC), and ARC is started over CEC.${becauseClause(job, reason.because)}`;
    case "no-control-wire":
      return `${upperFirst(cableName(job, reason.cable))} has no control wire (pin 13), and ARC is started over CEC.${becauseClause(job, reason.because)}`;
    case "renders-binaural":
      return `${name(reason.device)} renders for headphones: two channels leave it, and no objects.`;
    case "decode-mode":
      return `${name(reason.device)} shows the full coding on its display, but its sound mode is ${settingValueIn(job, reason.device, "decode-mode", reason.value)}: ${reason.have} plays instead of ${reason.need}.`;
    case "not-connected":
      return `No cable is plugged into ${name(reason.device)}.`;
    case "no-way":
      return `Sound gets as far as ${name(reason.device)}; nothing connects it to ${name(reason.to)}.`;
    case "cable-backwards":
      return `${upperFirst(cableName(job, reason.cable))} works one way only and is installed the wrong way round: turn it.`;
    case "miswired":
      return `${upperFirst(cableName(job, reason.cable))} is plugged into two ${reason.direction === "out" ? "outputs" : "inputs"}: move one end to an ${reason.direction === "out" ? "input" : "output"}.`;
    case "cable-state":
      return CABLE_STATE_SENTENCE[reason.state](upperFirst(cableName(job, reason.cable)));
    case "device-state":
      return DEVICE_STATE_SENTENCE[reason.state](deviceName(job, reason.device));
    case "no-sound-system":
      return "This job has no device with speakers yet.";
    case "unknown-fact":
      return `It depends on ${unknownWords(job, reason.unknown)}.`;
    case "other-way-unknown":
      return `Another way may bring more: it depends on ${unknownWords(job, reason.unknown)}.`;
  }
}

/** A few words for the spot where strings end. The number that ended them comes first where there is one. */
export function reasonFlag(job: Job, reason: Reason): string {
  switch (reason.code) {
    case "link-capacity":
      return `${codingName(reason.coding)} needs ${formatMegabits(reason.need)}, ${linkFact(reason.link).name} has ${reason.have.toFixed(1)}`;
    case "link-channels":
      return `${reason.need} LPCM, ${linkFact(reason.link).name} has ${reason.have}`;
    case "format-setting":
      return `set to ${settingValueIn(job, reason.device, reason.setting, reason.value)}: ${reason.have ?? "nothing"}`;
    case "does-not-pass":
      return reason.objects === "none"
        ? `${deviceName(job, reason.device)} passes no ${codingName(reason.coding)}`
        : `${deviceName(job, reason.device)} passes no objects`;
    case "passes-fewer":
      return reason.coding === "lpcm"
        ? `${reason.need} LPCM, takes ${reason.have}`
        : `${codingName(reason.coding)} ${reason.need}, passes ${reason.have}`;
    case "cannot-emit":
      return reason.objects === "none"
        ? `${reason.have ? `sends ${codingName(reason.coding)} ${reason.have}, not` : `cannot send ${codingName(reason.coding)}`} ${reason.need}`
        : "sends no objects";
    case "prefers":
      return `sends ${codingName(reason.sent)} by its own preference`;
    case "coded-again":
      return `re-encoded as ${codingName(reason.to)}`;
    case "not-listed":
      return reason.objects === "none" ? `${codingName(reason.coding)} not listed` : "objects not listed";
    case "cannot-decode":
      return `cannot decode ${codingName(reason.coding)}`;
    case "speakers-fewer":
      return `plays ${reason.have} of ${reason.need}`;
    case "no-height-speakers":
      return "no height speakers";
    case "no-object-decoder":
      return "no object decoder";
    case "no-return-socket":
      return "no return channel at this socket";
    case "no-return-wire":
      return "no return wire in this cable";
    case "return-off":
      return reason.setting === "cec" ? "CEC off, so no ARC" : "ARC off";
    case "no-sound-route":
      return "passes no sound on";
    case "speakers-choice":
      return reason.value === "own" ? "the screen’s own speakers are chosen" : "own speakers mute";
    case "setting-shuts":
      return `${settingFact(reason.setting).name}: ${settingValueIn(job, reason.device, reason.setting, reason.value)}`;
    case "app-fails-over":
      return `silent over ${linkFact(reason.link).name}`;
    case "plug-mutes":
      return "muted by a plug";
    case "link-lossy":
      return `${linkFact(reason.link).name} is lossy`;
    case "no-cec":
      return "no CEC, so no ARC";
    case "no-control-wire":
      return "no control wire, so no ARC";
    case "renders-binaural":
      return "rendered for headphones";
    case "decode-mode":
      return `sound mode: ${settingValueIn(job, reason.device, "decode-mode", reason.value)}`;
    case "not-connected":
      return "not plugged in";
    case "no-way":
      return `nothing connects ${deviceName(job, reason.device)} to ${deviceName(job, reason.to)}`;
    case "cable-backwards":
      return "cable is backwards";
    case "miswired":
      return reason.direction === "out" ? "plugged into two outputs" : "plugged into two inputs";
    case "cable-state":
      return CABLE_STATE_SHORT[reason.state];
    case "device-state":
      return DEVICE_STATE_SHORT[reason.state];
    case "no-sound-system":
      return "no sound system";
    case "unknown-fact":
      return `not known: ${unknownWords(job, reason.unknown)}`;
    case "other-way-unknown":
      return "another way may bring more";
  }
}

/** What to look for when no change within the gear cures a reason; null where a change does. */
export function reasonRemedy(job: Job, reason: Reason): string | null {
  switch (reason.code) {
    case "no-return-socket":
      return `It takes more than one change here, or another device: a sound system with HDMI inputs for the players, a screen with a return channel, or a box that takes the sound off before ${deviceName(job, reason.device)}.`;
    case "no-sound-route":
    case "no-way":
    case "not-connected":
      return "Connect the two with a cable on the Patch page, or move the player to another input.";
    case "no-height-speakers":
      return "Only height speakers play more, where the sound system can drive them.";
    case "speakers-fewer":
    case "no-object-decoder":
      return "Only another sound system plays more.";
    case "cannot-decode":
      return "Let the player decode to PCM, or choose a sound system that decodes it.";
    case "app-fails-over":
      return "A cable in place of the wireless link lets it play.";
    case "unknown-fact":
    case "other-way-unknown":
      return "Find it out on site and write it down on the Gear page.";
    // A single change of this gear cures each of these, or its sentence says what would.
    case "link-capacity":
    case "link-channels":
    case "format-setting":
    case "does-not-pass":
    case "passes-fewer":
    case "cannot-emit":
    case "prefers":
    case "coded-again":
    case "not-listed":
    case "no-return-wire":
    case "return-off":
    case "speakers-choice":
    case "setting-shuts":
    case "plug-mutes":
    case "link-lossy":
    case "no-cec":
    case "no-control-wire":
    case "renders-binaural":
    case "decode-mode":
    case "cable-backwards":
    case "miswired":
    case "cable-state":
    case "device-state":
    case "no-sound-system":
      return null;
  }
}
