/** Notes that the device would not keep: they are there as long as the page is open. */
const ofThePage = new Map<string, string>();

/** A note as this device keeps it for one browser; null: there is none. */
export function noteOnDevice(key: string): string | null {
  try {
    return ofThePage.get(key) ?? window.localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a note on this device, or for the page where the device is full or its browser keeps nothing. */
export function keepOnDevice(key: string, note: string): void {
  try {
    window.localStorage.setItem(key, note);
    ofThePage.delete(key);
  } catch {
    ofThePage.set(key, note);
  }
}

/** The same as JSON, unchecked; null where it is none. */
export function jsonOnDevice(key: string): unknown {
  try {
    return JSON.parse(noteOnDevice(key) ?? "null");
  } catch {
    return null;
  }
}
