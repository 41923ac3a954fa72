import type { PlainCause, SheetCheck, SheetPress } from "@/core/handover";
import { listed } from "../../names";
import type { SheetParts } from "../sheet-words";

function press(given: SheetPress): string {
  const { device } = given;
  switch (given.key) {
    case "power":
      return given.hasRemote ? `Press the power key on the remote of ${device}.` : `Press the power key of ${device}.`;
    case "volume-up":
      return `Press volume up on the remote of ${device}.`;
    case "volume-down":
      return `Press volume down on the remote of ${device}.`;
    case "mute":
      return `Press mute on the remote of ${device}.`;
    case "return":
      return `Press the key for TV sound on ${device}.`;
    case "input":
      return given.input === null ? `On ${device} choose its own apps or channels.` : `On ${device} choose the input “${given.input}”.`;
  }
}

function cause(given: PlainCause): string {
  switch (given.because) {
    case "device":
      return `${given.device} does not pass it on.`;
    case "speakers":
      return `${given.device} is not made for it.`;
    case "cable":
      return "The cable does not carry it.";
    case "setting":
      return `A menu of ${given.device} is set that way.`;
    case "connection":
      return "The connection is too small for it.";
    case "not-connected":
      return `${given.device} has no connection for it.`;
    case "service":
      return `${given.device} sends another kind of sound.`;
  }
}

function check(given: SheetCheck): string {
  switch (given.check) {
    case "power-on":
      return `Is ${given.device} on? Press its power key once.`;
    case "mute":
      return `Is the sound of ${given.device} switched off? Press the mute key once.`;
    case "louder":
      return `Turn the volume of ${given.device} up a little.`;
    case "mains":
      return `Do these have power? Look at the mains plug and the lamp of ${listed(given.devices)}.`;
    case "own-key":
      return `Switch ${given.device} off and on with the key on its front. Wait 20 seconds.`;
    case "restart":
      return `Switch ${given.device} off, pull its mains plug for half a minute, and switch it on again.`;
    case "unpair":
      return `Are headphones connected to ${given.device}? Switch them off.`;
    case "other-title":
      return `Play something else on ${given.device}.`;
    case "input":
      return given.input === null
        ? `${given.device} should show its own apps or channels. Choose them if it does not.`
        : `${given.device} should stand at the input “${given.input}”. Choose it if it does not.`;
    case "menu":
      return `In the menu of ${given.device}, “${given.menu}” should be “${given.value}”.`;
    case "plug":
      return `Push the plug at “${given.socket}” of ${given.device} fully in.`;
    case "charge":
      return `Put the ${given.unit} on its charger.`;
    case "place":
      return `Put the ${given.unit} back in its own place.`;
  }
}

export const parts: SheetParts = {
  listed,
  press,
  cause,
  check,
  uses: { tv: "TV", film: "films", game: "games", music: "music" },
  missing: {
    sound: "there is no sound from the sound system",
    picture: "there is no picture",
    surround: "sound comes from the front only",
    height: "there is no sound from above",
    "some-speakers": "it has sound for more speakers than there are here",
  },
};
