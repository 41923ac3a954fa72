import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device, room } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { householdSheet } from "@/core/handover";
import { SHEET_WORDS } from "@/core/text";
import { factsOf, overArc, SOURCE } from "@/demo/sheet-under-test";

describe("what is not to be expected", () => {
  test("an Atmos stream over a TV that passes Dolby Digital on: the height is missed, and the TV is why", () => {
    const lines = factsOf(overArc(), "surround").filter(({ says }) => says === "not-expected");
    expect(lines.length).toBeGreaterThan(0);
    for (const fact of lines) if (fact.says === "not-expected") expect(["height", "surround"]).toContain(fact.missing);
  });

  test("a room where everything arrives promises all of it", () => {
    const { sections } = householdSheet(demoJob("attic-screen"), SOURCE);
    expect(sections.flatMap(({ lines }) => lines).filter(({ fact }) => fact.says === "not-expected")).toEqual([]);
  });

  test("where there is no picture the reason is that of the picture, not of a sound that is lessened too", () => {
    const devices = [device("projector", "projector"), device("receiver-51", "receiver"), device("disc-player-4k", "disc")];
    const job = room(devices, "disc optical-out > receiver optical-in");
    const facts = factsOf(job, "surround").filter((fact) => fact.says === "not-expected" && fact.missing === "picture");
    expect(facts.length).toBeGreaterThan(0);
    for (const fact of facts) expect(fact).toMatchObject({ cause: { because: "not-connected", device: "disc" } });
  });

  test("what only some titles of a player lose is said of some titles", () => {
    // Over ARC the set passes Dolby Digital on, and of the film with DTS alone only two channels.
    const job = room(
      [device("tv-arc", "tv"), device("bar-arc-optical", "bar"), device("disc-player-hd", "disc")],
      "disc hdmi-out > tv hdmi2",
      "bar hdmi-out > tv hdmi1",
    );
    const films = solve(job, "planned").rows.filter(({ player, content }) => player === "disc" && content.kind === "film");
    const front = films.filter(({ arrives }) => arrives?.channels === "2.0");
    expect([films.length > front.length, front.length > 0]).toEqual([true, true]);
    const lines = factsOf(job, "surround").filter((fact) => fact.says === "not-expected" && fact.missing === "surround");
    expect(lines).toContainEqual(expect.objectContaining({ isSome: true, players: [{ player: "disc", uses: ["film"] }] }));
    expect(lines.map((fact) => SHEET_WORDS.en.line(fact))).toContainEqual(
      expect.stringMatching(/^Films with disc: with some titles sound comes from the front only\./),
    );
  });

  test("a silent player is not called normal: the installer knows of it", () => {
    const [fact] = factsOf(demoJob("flat-4b"), "surround").filter(({ says }) => says === "not-expected");
    expect(fact).toMatchObject({ missing: "sound" });
    expect(fact && SHEET_WORDS.en.line(fact)).toContain("Your installer knows of it.");
    expect(fact && SHEET_WORDS.en.line(fact)).not.toContain("Nothing is broken.");
  });
});
