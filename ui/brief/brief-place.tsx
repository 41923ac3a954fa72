"use client";

import { InputNumber } from "antd";
import { chosenSoundSystem, PURCHASE_KINDS, WEIGHINGS, type Brief, type PurchaseKind } from "@/core/job";
import { PRESET_WORDS } from "@/core/text";
import { Choice, KeptText } from "@/ui/kit";
import { EffectLine, Sheet, useJob } from "@/ui/job";
import { usePreferences } from "@/ui/preferences";
import styles from "./brief.module.css";
import { OpenList } from "./open-list";
import { Question } from "./question";
import { RoomsSection } from "./rooms-section";
import { useBrief } from "./use-brief";
import { WatchedSection } from "./watched-section";
import { briefWords } from "@/ui/words";

const PURCHASE_WORDS = {
  cable: "cables",
  box: briefWords.smallBoxes,
  device: briefWords.playersScreensAndSoundSystems,
} as const satisfies Record<PurchaseKind, string>;

/** What is asked on the sofa, on one page; beside each answer stands where it is used. */
export function BriefPlace() {
  return (
    <Sheet
      marginLabel={briefWords.marginLabel}
      margin={
        <div className={styles.margin}>
          <MoneySection />
          <OpenList />
        </div>
      }
      foot={<EffectLine />}
    >
      <h2 className="for-ears-only">{briefWords.brief}</h2>
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
  const screens = job.devices.filter(({ role, display }) => role === "screen" && display);
  return (
    <section aria-label={briefWords.theHousehold}>
      <h3>{briefWords.theHousehold}</h3>
      <Question name={briefWords.whoUsesTheRoom} uses="household">
        <KeptText label={briefWords.whoUsesTheRoom} value={brief.household} limit={300} onKeep={(household) => set({ household })} />
      </Question>
      <Question name={briefWords.remotesTheyBear} uses="remotes">
        <InputNumber
          aria-label={briefWords.remotesForLoudness}
          min={1}
          max={9}
          precision={0}
          value={brief.remotes}
          placeholder={briefWords.notAsked}
          onChange={(remotes) => set({ remotes })}
        />
      </Question>
      <Question name={briefWords.soundComesFrom} uses="soundSystem">
        <Choice
          label={briefWords.soundComesFrom}
          value={brief.soundSystem ?? ""}
          options={[
            { value: "", label: soundWords(chosenSoundSystem(job)?.name) },
            ...speakers.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(id) => set({ soundSystem: id || null })}
        />
      </Question>
      <Question name={briefWords.theNewsSoundsFrom} uses="newsFrom">
        <Picks<Brief["newsFrom"]>
          label={briefWords.theNewsSoundsFrom}
          value={brief.newsFrom}
          options={[
            ["system", briefWords.theBigSound],
            ["screen", briefWords.theScreen],
          ]}
          onChange={(newsFrom) => set({ newsFrom })}
        />
      </Question>
      {screens.length > 1 ? (
        <Question name={briefWords.screensAtOnce} uses="screensAtOnce">
          <Choice
            label={briefWords.screensAtOnce}
            value={brief.screensAtOnce ?? UNASKED}
            options={[
              { value: UNASKED, label: briefWords.notAsked },
              { value: "one", label: briefWords.oneAtATime },
              { value: "several", label: briefWords.severalAtOnce },
            ]}
            onChange={(value) => set({ screensAtOnce: value === "one" || value === "several" ? value : null })}
          />
        </Question>
      ) : null}
      <Question name={briefWords.surround} uses="surround">
        <Picks<Brief["surround"]>
          label={briefWords.surround}
          value={brief.surround}
          options={[
            ["wished", "wanted"],
            ["plain", briefWords.plainWillDo],
          ]}
          onChange={(surround) => set({ surround })}
        />
      </Question>
      <Question name={briefWords.speech} uses="clearSpeech">
        <Picks
          label={briefWords.speech}
          value={brief.clearSpeech ? "clear" : "usual"}
          options={[
            ["usual", briefWords.asItComes],
            ["clear", "clear"],
          ]}
          onChange={(value) => set({ clearSpeech: value === "clear" })}
        />
      </Question>
      <Question name={briefWords.countsMost} uses="weighing">
        <Choice
          label={briefWords.countsMost}
          value={typeof brief.weighing === "string" ? brief.weighing : OWN_FIGURES}
          options={[
            ...WEIGHINGS.map((name) => ({ value: name as string, label: PRESET_WORDS[name] })),
            ...(typeof brief.weighing === "string" ? [] : [{ value: OWN_FIGURES, label: briefWords.ownFigures }]),
          ]}
          onChange={(value) => {
            const weighing = WEIGHINGS.find((name) => name === value);
            if (weighing) set({ weighing });
          }}
        />
      </Question>
      <Question name={briefWords.inTheirOwnWords} uses="wishes">
        <KeptText
          label={briefWords.wishesInTheirOwnWords}
          value={brief.wishes}
          limit={8000}
          rows={2}
          onKeep={(wishes) => set({ wishes })}
        />
      </Question>
    </section>
  );
}

const UNASKED = "";
/** Weights that were tuned on Plans and have no name. */
const OWN_FIGURES = "own";

const soundWords = (name: string | undefined): string => (name ? briefWords.whatIsThere(name) : briefWords.theFirstSoundSystem);

function MoneySection() {
  const { brief, set } = useBrief();
  const { currency } = usePreferences();
  const devices = useJob((state) => state.job.devices);
  return (
    <section aria-label={briefWords.whatMayChange}>
      <h3>{briefWords.whatMayChange}</h3>
      <Question name={briefWords.toBeSpentAtMost} uses="budget">
        <InputNumber
          aria-label={briefWords.toBeSpentAtMost}
          min={0}
          max={1_000_000}
          step={10}
          value={brief.budget}
          placeholder={briefWords.notAsked}
          suffix={currency}
          onChange={(budget) => set({ budget })}
        />
      </Question>
      <Question name={briefWords.mayBeBought} uses="mayBuy">
        <Choice
          mode="multiple"
          label={briefWords.mayBeBought}
          value={brief.mayBuy}
          placeholder={briefWords.nothing}
          options={PURCHASE_KINDS.map((kind) => ({ value: kind, label: PURCHASE_WORDS[kind] }))}
          onChange={(kinds: string[]) => set({ mayBuy: PURCHASE_KINDS.filter((kind) => kinds.includes(kind)) })}
        />
      </Question>
      <Question name={briefWords.mustStay} uses="mustStay">
        <Choice
          mode="multiple"
          label={briefWords.mustStay}
          value={brief.mustStay}
          placeholder={briefWords.nothingInParticular}
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
