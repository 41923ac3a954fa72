import type { SettingKey } from "@/core/facts";

export type CableSide = "from" | "to";

/** A look changes nothing: it asks, listens or reads. */
export type Look =
  /** What changed just before, or how it behaves over time. */
  | { readonly does: "ask"; readonly about: "changed" | "course" }
  /** Which players are silent, without playing each. */
  | { readonly does: "ask-players" }
  | { readonly does: "play"; readonly row: string }
  | { readonly does: "act"; readonly event: string }
  /** Its power lamp. */
  | { readonly does: "lamp"; readonly device: string }
  /** What the display of the sound system says of its return channel. */
  | { readonly does: "panel"; readonly cable: string }
  /** Red light at the free optical end. */
  | { readonly does: "red-light"; readonly cable: string }
  /** The devices that a screen lists on HDMI control. */
  | { readonly does: "found-list"; readonly device: string }
  /** The sound formats that a player lists for its output. */
  | { readonly does: "format-list"; readonly device: string; readonly port: string }
  | { readonly does: "tone"; readonly device: string; readonly unit: string }
  /** A content played with a box left out of its way. */
  | { readonly does: "bypass"; readonly device: string; readonly row: string };

/** A cure puts one thing right, if it was wrong; where it was not, nothing is changed, or it is set back. */
export type Cure =
  | { readonly does: "set"; readonly device: string; readonly setting: SettingKey }
  /** Both what is plugged there and that it is fully in, without its cap. */
  | { readonly does: "seat"; readonly cable: string; readonly side: CableSide }
  | { readonly does: "turn"; readonly cable: string }
  | { readonly does: "lead"; readonly cable: string }
  | { readonly does: "power"; readonly device: string }
  /** The sound system's own power key, which also begins the return channel. */
  | { readonly does: "own-key"; readonly device: string }
  | { readonly does: "restart"; readonly device: string }
  /** Everything off at the mains, then on again in the order of the run sheet. */
  | { readonly does: "cycle" }
  | { readonly does: "unpair"; readonly device: string }
  | { readonly does: "update"; readonly device: string }
  /** Another title of the same player, one that surely has surround. */
  | { readonly does: "other-title"; readonly row: string }
  /** A player whose coding drifts is set to PCM. */
  | { readonly does: "take-pcm"; readonly device: string }
  /** Past a box or socket that holds the picture back. */
  | { readonly does: "go-round"; readonly device: string; readonly port: string }
  | { readonly does: "unit"; readonly to: "pair" | "charge" | "place" | "sides" | "wire"; readonly device: string; readonly unit: string }
  | { readonly does: "other-socket"; readonly device: string; readonly port: string }
  | { readonly does: "replace"; readonly device: string; readonly unit?: string }
  /** What Arrivals offers for the room as it is recorded. */
  | { readonly does: "follow-arrivals" };

export type Step = Look | Cure;

/** A step as the command line and the record name it: what it does and where. */
export function stepId(step: Step): string {
  const { does, ...place } = step;
  return [does, ...Object.values(place)].join(":");
}
