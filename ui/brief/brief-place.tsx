"use client";

import { InputNumber } from "antd";
import { PURCHASE_KINDS, type Brief, type PurchaseKind } from "@/core/job";
import { chosenSoundSystem } from "@/core/job";
import { Choice, KeptText } from "@/ui/kit";
import { EffectLine, Sheet, useJob } from "@/ui/job";
import { usePreferences } from "@/ui/preferences";
import styles from "./brief.module.css";
import { OpenList } from "./open-list";
import { Question } from "./question";
import { RoomsSection } from "./rooms-section";
import { useBrief } from "./use-brief";
import { WatchedSection } from "./watched-section";

const PURCHASE_WORDS = { cable: "cables", box: "small boxes", device: "players, screens and sound systems" } as const satisfies Record<
  PurchaseKind,
  string
>;

/** What is asked on the sofa, on one page; beside each answer stands where it is used. */
export function BriefPlace() {
  return (
    <Sheet
      marginLabel="What may change, and what to find out on site"
      margin={
        <div className={styles.margin}>
          <MoneySection />
          <OpenList />
        </div>
      }
      foot={<EffectLine />}
    >
      <h2 className="for-ears-only">Brief</h2>
      <div className={styles.brief}>
        <div className={styles.column}>
          <HouseholdSection />
        </div>
        <div className={styles.column}>
          <WatchedSection />
          <RoomsSection />
        </div>
      </div>
    </Sheet>
  );
}

function HouseholdSection() {
  const { brief, set } = useBrief();
  const job = useJob((state) => state.job);
  const speakers = job.devices.filter((device) => device.speakers);
  return (
    <section aria-label="The household">
      <h3>The household</h3>
      <Question name="Who uses the room" uses="household">
        <KeptText label="Who uses the room" value={brief.household} limit={300} onKeep={(household) => set({ household })} />
      </Question>
      <Question name="Remotes they bear" uses="remotes">
        <InputNumber
          aria-label="Remotes they bear for the loudness"
          min={1}
          max={9}
          precision={0}
          value={brief.remotes}
          placeholder="not asked"
          onChange={(remotes) => set({ remotes })}
        />
      </Question>
      <Question name="Sound comes from" uses="soundSystem">
        <Choice
          label="Sound comes from"
          value={brief.soundSystem ?? ""}
          options={[
            { value: "", label: soundWords(chosenSoundSystem(job)?.name) },
            ...speakers.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => set({ soundSystem: id || null })}
        />
      </Question>
      <Question name="The news sounds from" uses="newsFrom">
        <Picks<Brief["newsFrom"]>
          label="The news sounds from"
          value={brief.newsFrom}
          options={[
            ["system", "the big sound"],
            ["screen", "the screen"],
          ]}
          onChange={(newsFrom) => set({ newsFrom })}
        />
      </Question>
      <Question name="Surround" uses="surround">
        <Picks<Brief["surround"]>
          label="Surround"
          value={brief.surround}
          options={[
            ["wished", "wished"],
            ["plain", "plain will do"],
          ]}
          onChange={(surround) => set({ surround })}
        />
      </Question>
      <Question name="Speech" uses="clearSpeech">
        <Picks
          label="Speech"
          value={brief.clearSpeech ? "clear" : "usual"}
          options={[
            ["usual", "as it comes"],
            ["clear", "clear"],
          ]}
          onChange={(value) => set({ clearSpeech: value === "clear" })}
        />
      </Question>
      <Question name="In their own words" uses="wishes">
        <KeptText
          label="What the household wishes, in their own words"
          value={brief.wishes}
          limit={8000}
          rows={2}
          onKeep={(wishes) => set({ wishes })}
        />
      </Question>
    </section>
  );
}

const soundWords = (name: string | undefined): string => (name ? `what is there: ${name}` : "the first sound system");

function MoneySection() {
  const { brief, set } = useBrief();
  const { currency } = usePreferences();
  const devices = useJob((state) => state.job.devices);
  return (
    <section aria-label="What may change">
      <h3>What may change</h3>
      <Question name="To be spent at most" uses="budget">
        <InputNumber
          aria-label="To be spent at most"
          min={0}
          max={1_000_000}
          step={10}
          value={brief.budget}
          placeholder="not asked"
          suffix={currency}
          onChange={(budget) => set({ budget })}
        />
      </Question>
      <Question name="May be bought" uses="mayBuy">
        <Choice
          mode="multiple"
          label="May be bought"
          value={brief.mayBuy}
          placeholder="nothing"
          options={PURCHASE_KINDS.map((kind) => ({ value: kind, label: PURCHASE_WORDS[kind] }))}
          onChange={(kinds: string[]) => set({ mayBuy: PURCHASE_KINDS.filter((kind) => kinds.includes(kind)) })}
        />
      </Question>
      <Question name="Must stay" uses="mustStay">
        <Choice
          mode="multiple"
          label="Must stay"
          value={brief.mustStay}
          placeholder="nothing in particular"
          options={devices.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(ids: string[]) => set({ mustStay: ids })}
        />
      </Question>
    </section>
  );
}

interface PicksProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [Value, string])[];
  readonly onChange: (value: Value) => void;
}

/** A choice of a few, all in sight. */
function Picks<Value extends string>({ label, value, options, onChange }: PicksProps<Value>) {
  return (
    <div role="radiogroup" aria-label={label} className={styles.picks}>
      {options.map(([option, words]) => (
        <label key={option} className={option === value ? styles.picked : styles.pick}>
          <input type="radio" checked={option === value} onChange={() => onChange(option)} />
          {words}
        </label>
      ))}
    </div>
  );
}
