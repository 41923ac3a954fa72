import type { Channel } from "@/core/facts";
import type { Job, Room } from "@/core/job";
import { addedByDialling, dialTimes, type DialledTime } from "./dial-times";
import { dialLevels, type DialledLevel } from "./dial-levels";
import { diallingSheet, speechSteps, type SheetLine, type SpeechStep } from "./dialling-sheet";
import { speedIn } from "./distances";
import { isMirrored, judgePlacing, swappedPairs, type Placing } from "./judge-placing";
import { mountingsOf, type Mounting } from "./mounting";
import { otherSeats, type SeatEffect } from "./other-seats";
import { chargePlans, pairingSteps, reachFaults, type ChargePlan, type PairingStep, type ReachFault } from "./pairing";
import { roomTroubles, type RoomTrouble } from "./room-troubles";
import { coversScreen, screenView, type ScreenView } from "./screen-view";
import { speakersOf, type Speaker } from "./speakers";
import { upFiringOf, type UpFiring } from "./up-firing";
import { sceneOf, type RoomScene, type RoomUnit } from "./units-in-room";
import { loadsOf, wireRuns, type Load, type WireRun } from "./wire";

/** Everything that can be said of one sound system in its room. */
export interface SystemAnswer {
  readonly device: string;
  readonly times: readonly DialledTime[];
  readonly levels: readonly DialledLevel[];
  readonly addedMs: number;
  readonly sheet: readonly SheetLine[];
  readonly speech: readonly SpeechStep[];
  readonly pairing: readonly PairingStep[];
  readonly otherSeats: readonly SeatEffect[];
}

/** Everything that can be said of a room. */
export interface RoomAnswer {
  readonly scene: RoomScene;
  readonly speedOfSound: number;
  readonly troubles: readonly RoomTrouble[];
  readonly speakers: readonly (Speaker & { readonly placing: Placing })[];
  readonly swapped: readonly (readonly [Channel, Channel])[];
  readonly mirrored: boolean;
  readonly upFiring: readonly UpFiring[];
  readonly systems: readonly SystemAnswer[];
  readonly view: ScreenView | null;
  readonly covers: readonly { readonly one: RoomUnit; readonly byM: number }[];
  readonly wire: readonly WireRun[];
  readonly loads: readonly Load[];
  readonly mounting: readonly Mounting[];
  readonly reach: readonly ReachFault[];
  readonly charging: readonly ChargePlan[];
}

/** Works a room out: geometry, what to dial, wire, mounting. */
export function roomAnswer(job: Job, room: Room): RoomAnswer {
  const scene = sceneOf(job, room);
  const { space, units } = scene;
  const speakers = speakersOf(scene);
  const devices = [...new Set(units.map(({ device }) => device))];
  return {
    scene,
    speedOfSound: speedIn(space),
    troubles: roomTroubles(scene),
    speakers: speakers.map((speaker) => ({ ...speaker, placing: judgePlacing(space, speaker) })),
    swapped: swappedPairs(speakers),
    mirrored: isMirrored(speakers),
    upFiring: upFiringOf(space, speakers),
    systems: devices.map((device): SystemAnswer => {
      const own = speakers.filter((speaker) => speaker.device === device);
      const times = dialTimes(space, own);
      const levels = dialLevels(space, own);
      return {
        device: device.id,
        times,
        levels,
        addedMs: addedByDialling(times),
        sheet: diallingSheet(device, times, levels, space.targetDb),
        speech: speechSteps(device),
        pairing: pairingSteps(device),
        otherSeats: otherSeats(space, times, levels),
      };
    }),
    view: screenView(space),
    covers: coversScreen(space, units),
    wire: wireRuns(scene),
    loads: loadsOf(scene),
    mounting: mountingsOf(units),
    reach: reachFaults(scene),
    charging: chargePlans(scene),
  };
}
