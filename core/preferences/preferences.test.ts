import { describe, expect, test } from "vitest";
import { CONTENT_CATALOGUE, fromShelfOrThrow } from "@/core/device";
import { defaultPreferences, Preferences, withPresetContents } from "@/core/preferences";

const contentsOf = (ids: readonly string[]) => ({ contents: { media: [...ids], app: [], tuner: [] } });

describe("a firm's settings", () => {
  test("that were never set are metric, without a currency, and leave every archetype its own contents", () => {
    const factory = defaultPreferences();
    expect(factory).toMatchObject({ units: "metric", currency: "", firm: { name: "", address: "", phone: "" } });
    const streamer = fromShelfOrThrow("streamer-4k", { id: "s" });
    expect(withPresetContents(streamer, factory)).toEqual(streamer);
  });

  test("may be given in part; what is missing is as from the factory", () => {
    expect(Preferences.parse({ units: "imperial" })).toEqual({ ...defaultPreferences(), units: "imperial" });
  });

  test("name only contents that the catalogue has", () => {
    const [known] = CONTENT_CATALOGUE;
    expect(Preferences.safeParse(contentsOf([known?.id ?? ""])).success).toBe(true);
    expect(Preferences.safeParse(contentsOf(["opera-in-the-park"])).success).toBe(false);
    expect(Preferences.safeParse({ units: "furlongs" }).success).toBe(false);
  });
});

describe("contents that a new player begins with", () => {
  const wanted = ["news-aac", "film-ddp-atmos"].filter((id) => CONTENT_CATALOGUE.some((content) => content.id === id));

  test("are the firm's, in the order of the catalogue, for its kind of source alone", () => {
    const television = fromShelfOrThrow("tv-earc", { id: "tv" });
    const kinds = new Set(television.sources.map(({ kind }) => kind));
    expect(kinds.size).toBeGreaterThan(1);
    const [preset] = CONTENT_CATALOGUE;
    const set = Preferences.parse({ contents: { app: [preset?.id ?? ""] } });
    for (const source of withPresetContents(television, set).sources) {
      const before = television.sources.find(({ id }) => id === source.id);
      if (source.kind === "app") expect(source.contents).toEqual([preset]);
      else expect(source.contents).toEqual(before?.contents);
    }
  });

  test("never come twice, however often the firm names them", () => {
    const twice = Preferences.parse(contentsOf([...wanted, ...wanted]));
    const streamer = withPresetContents(fromShelfOrThrow("streamer-4k", { id: "s" }), twice);
    const ids = streamer.sources.filter(({ kind }) => kind === "media").flatMap(({ contents }) => contents.map(({ id }) => id));
    expect(ids).toEqual(CONTENT_CATALOGUE.map(({ id }) => id).filter((id) => wanted.includes(id)));
  });
});
