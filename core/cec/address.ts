/** A place in an HDMI tree: four numbers of 0 to 15, the root 0.0.0.0, zeros only at the end. Source: HDMI 1.4 §8.7. */
export type PhysicalAddress = string & { readonly brand: "physical address" };

export const ROOT = "0.0.0.0" as PhysicalAddress;
/** The physical address of a device that no EDID has told one. */
export const NOWHERE = "15.15.15.15" as PhysicalAddress;

export const addressOfBytes = (high: number, low: number): PhysicalAddress =>
  [high >> 4, high & 15, low >> 4, low & 15].join(".") as PhysicalAddress;

export function bytesOfAddress(address: PhysicalAddress): readonly [number, number] {
  const [a = 0, b = 0, c = 0, d = 0] = address.split(".").map(Number);
  return [(a << 4) | b, (c << 4) | d];
}

/** A number by which addresses are in the order of the tree: input by input, from the screen down. */
export function placeInTree(address: PhysicalAddress): number {
  const [high, low] = bytesOfAddress(address);
  return (high << 8) | low;
}

/** Whether a device can stand there: no number after the first zero. */
export function isPossible(address: PhysicalAddress): boolean {
  const steps = address.split(".").map(Number);
  const depth = steps.indexOf(0);
  return address !== NOWHERE && (depth < 0 || steps.slice(depth).every((step) => step === 0));
}

/** The address at an input of what is at `parent`; null beyond the fourth level, where none is left. */
export function childAddress(parent: PhysicalAddress, input: number): PhysicalAddress | null {
  const steps = parent.split(".").map(Number);
  const level = steps.indexOf(0);
  if (level < 0 || input < 1 || input > 15) return null;
  steps[level] = input;
  return steps.join(".") as PhysicalAddress;
}

/** The steps from the root to a device: "1.2" of 1.2.0.0. The root itself has none. */
function stepsTo(address: PhysicalAddress): string {
  const end = address.indexOf(".0");
  return end < 0 ? address : address.slice(0, end);
}

/** Whether a way to `address` leads through what is at `above`, itself included. */
export const isBelow = (address: PhysicalAddress, above: PhysicalAddress): boolean =>
  above.startsWith("0.") || `${address}.`.startsWith(`${stepsTo(above)}.`);

/** The input of what is at `above` through which `address` is reached; null where it is not below, or is itself. */
export function inputTowards(above: PhysicalAddress, address: PhysicalAddress): number | null {
  if (address === above || !isBelow(address, above)) return null;
  const depth = above.split(".").indexOf("0");
  const step = Number(address.split(".")[depth]);
  return step || null;
}
