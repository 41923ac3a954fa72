import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { readJob } from "@/core/job";
import { atHand, PRESETS, searchPlans, weightsOf, wiringSpace } from "@/core/plan";
import { joinJob } from "./join-job";
import {
  PLAYER_ANSWERS,
  SCREEN_ANSWERS,
  SOUND_ANSWERS,
  WAY_ANSWERS,
  type JoinAnswers,
  type PlayerAnswer,
  type ScreenAnswer,
  type SoundAnswer,
} from "./questions";

const keys = <Key extends string>(of: Readonly<Record<Key, string>>) => Object.keys(of) as Key[];

function planned(answers: JoinAnswers) {
  const job = joinJob("Asked", answers, {});
  const space = wiringSpace(job, atHand(job));
  if (!space) throw new Error("nothing to plan");
  return { job, ...searchPlans(space, PRESETS[answers.matters], { onlyBest: true }) };
}

const plain = { players: [] as readonly PlayerAnswer[], way: "beside", matters: "best-sound" } as const;

describe("five questions", () => {
  test("whatever is answered makes a job that reads back as it is", () => {
    for (const screen of keys<ScreenAnswer>(SCREEN_ANSWERS))
      for (const sound of keys<SoundAnswer>(SOUND_ANSWERS))
        for (const way of WAY_ANSWERS) {
          const job = joinJob("Asked", { ...plain, screen, sound, players: keys<PlayerAnswer>(PLAYER_ANSWERS), way }, {});
          const read = readJob(JSON.parse(JSON.stringify(job)));
          expect(read.ok && read.value).toEqual(job);
        }
  });

  test("what matters to the customer stays with the job, so that it is weighed alike afterwards", () => {
    const job = joinJob("Asked", { ...plain, screen: "earc", sound: "bar-with-input", matters: "least-spending" }, {});
    expect(weightsOf(job.brief)).toEqual(PRESETS["least-spending"]);
  });

  test("a television with eARC and a bar: one cable, and what the television plays itself arrives whole", () => {
    const { plans, proven } = planned({ ...plain, screen: "earc", sound: "bar-with-input" });
    expect(proven).toBe(true);
    expect(plans[0]?.wires.map(({ cable }) => `${cable.from.device} ${cable.to.device} ${cable.to.port}`)).toEqual([
      "bar-with-input earc hdmi3",
    ]);
    expect(plans[0] && arrivalsOf(plans[0].job).every(({ verdict }) => verdict === "full")).toBe(true);
  });

  test("an old television and a receiver without HDMI: optical; and an amplifier with a knob: by way of a converter", () => {
    expect(planned({ ...plain, screen: "no-return", sound: "old-receiver" }).plans[0]).toMatchObject({ school: "side-cable", boxes: [] });
    const amplifier = planned({ ...plain, screen: "no-return", sound: "amplifier" }).plans[0];
    expect(amplifier?.school).toBe("side-cable");
    expect(amplifier?.boxes.map(({ device }) => device.archetype)).toEqual(["dac-optical"]);
  });

  test("a bar whose only socket is eARC and a screen without return: an extractor before the screen", () => {
    const { plans } = planned({ ...plain, screen: "no-return", sound: "bar-earc-only", players: ["streamer"] });
    expect(plans[0]).toMatchObject({ school: "split", figures: { whole: 2 } });
  });

  test("a Bluetooth speaker where no cable can run: through the air", () => {
    expect(planned({ ...plain, screen: "arc", sound: "bluetooth", players: ["streamer"], way: "no-cable" }).plans[0]?.school).toBe(
      "wireless",
    );
  });
});
