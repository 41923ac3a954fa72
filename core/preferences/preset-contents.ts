import { CONTENT_CATALOGUE, type Device } from "@/core/device";
import type { Preferences } from "./preferences";

/** A new device with the firm's usual contents in place of those of its archetype, where the firm has set any. */
export const withPresetContents = (device: Device, { contents }: Pick<Preferences, "contents">): Device => ({
  ...device,
  sources: device.sources.map((source) => {
    const ids = contents[source.kind];
    return ids.length ? { ...source, contents: CONTENT_CATALOGUE.filter(({ id }) => ids.includes(id)) } : source;
  }),
});
