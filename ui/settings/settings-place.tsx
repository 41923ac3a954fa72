"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import { CONTENT_CATALOGUE } from "@/core/device";
import type { Preferences } from "@/core/preferences";
import { masterWords } from "@/core/text";
import type { FirmFaults as FirmFaultCounts } from "@/core/diagnose";
import type { LearnedMinutes } from "@/core/visit";
import { Sessions, type SessionShown } from "@/ui/access";
import { OutsideFrame } from "@/ui/frame";
import { Choice } from "@/ui/kit";
import { useKeepPreferences, usePreferences } from "@/ui/preferences";
import { useThemeChoice } from "@/ui/theme";
import { Backups, type BackupsShown } from "./backups";
import { EraseCustomer, type CustomerShown } from "./erase-customer";
import { FirmFaults } from "./firm-faults";
import { FirmPicture } from "./firm-picture";
import { FirmMinutes } from "./firm-minutes";
import styles from "./settings.module.css";
import { settingsWords } from "@/ui/words";

const SOURCES = [
  { kind: "media", label: settingsWords.aPlayersOwnMedia },
  { kind: "app", label: settingsWords.anApp },
  { kind: "tuner", label: settingsWords.aTuner },
] as const;

interface SettingsPlaceProps {
  readonly learned: LearnedMinutes;
  /** How many faults of each kind the firm's searches have found. */
  readonly solved: FirmFaultCounts["solved"];
  readonly backups: BackupsShown;
  readonly customers: readonly CustomerShown[];
  /** Null where nobody has to sign in. */
  readonly sessions: readonly SessionShown[] | null;
}

/** What the firm sets once: the look, the units, its name for print, and what a new player is taken to play. */
export function SettingsPlace({ learned, solved, backups, customers, sessions }: SettingsPlaceProps) {
  const kept = usePreferences();
  const keep = useKeepPreferences();
  const { chosen, setTheme } = useThemeChoice();
  const [draft, setDraft] = useState(kept);
  const [told, setTold] = useState<string | null>(null);
  const set = (change: Partial<Preferences>) => {
    setDraft({ ...draft, ...change });
    setTold(null);
  };
  const changed = JSON.stringify(draft) !== JSON.stringify(kept);
  const save = async () => {
    const outcome = await keep(draft);
    setTold(outcome.ok ? settingsWords.saved : outcome.refusal);
  };
  return (
    <OutsideFrame>
      <main className={styles.settings}>
        <section aria-label={settingsWords.theLook}>
          <h2>{settingsWords.theLook}</h2>
          <label>
            {settingsWords.theme}
            <Choice
              label={settingsWords.theme}
              value={chosen ?? "system"}
              options={[
                { value: "system", label: settingsWords.asTheSystem },
                { value: "dim", label: settingsWords.forDimRooms },
                { value: "day", label: settingsWords.forDaylight },
              ]}
              onChange={(next) => setTheme(next === "system" ? null : next)}
            />
          </label>
          <label>
            {settingsWords.lengths}
            <Choice
              label={settingsWords.unitsOfLength}
              value={draft.units}
              options={[
                { value: "metric", label: settingsWords.inMetres },
                { value: "imperial", label: settingsWords.inFeet },
              ]}
              onChange={(units) => set({ units })}
            />
          </label>
          <label>
            {settingsWords.writtenAfterAmounts}
            <Input value={draft.currency} maxLength={8} onChange={(event) => set({ currency: event.target.value })} />
          </label>
        </section>
        <section aria-label={settingsWords.theFirm}>
          <h2>{settingsWords.theFirmForPrint}</h2>
          <label>
            {settingsWords.name}
            <Input
              value={draft.firm.name}
              maxLength={120}
              onChange={(event) => set({ firm: { ...draft.firm, name: event.target.value } })}
            />
          </label>
          <label>
            {settingsWords.address}
            <Input
              value={draft.firm.address}
              maxLength={300}
              onChange={(event) => set({ firm: { ...draft.firm, address: event.target.value } })}
            />
          </label>
          <label>
            {settingsWords.telephone}
            <Input
              value={draft.firm.phone}
              maxLength={60}
              onChange={(event) => set({ firm: { ...draft.firm, phone: event.target.value } })}
            />
          </label>
          <FirmPicture picture={draft.firm.picture} onChoose={(picture) => set({ firm: { ...draft.firm, picture } })} />
        </section>
        <section aria-label={settingsWords.whatNewPlayersPlay}>
          <h2>{settingsWords.whatNewPlayersPlay}</h2>
          <p className={styles.quiet}>{settingsWords.presetWords}</p>
          {SOURCES.map(({ kind, label }) => (
            <label key={kind}>
              {label}
              <Choice
                mode="multiple"
                label={label}
                value={draft.contents[kind]}
                placeholder={settingsWords.usualContents}
                options={CONTENT_CATALOGUE.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
                onChange={(ids: string[]) => set({ contents: { ...draft.contents, [kind]: ids } })}
              />
            </label>
          ))}
        </section>
        <FirmMinutes own={draft.minutes} learned={learned} onSet={(minutes) => set({ minutes })} />
        <FirmFaults own={draft.faults} solved={solved} onSet={(faults) => set({ faults })} />
        <footer className={styles.foot}>
          <span aria-live="polite">{told ?? (changed ? settingsWords.notKeptYet : "")}</span>
          <Button type="primary" disabled={!changed} onClick={() => void save()}>
            {settingsWords.keep}
          </Button>
        </footer>
        <Backups {...backups} />
        <EraseCustomer customers={customers} />
        {sessions ? <Sessions sessions={sessions} /> : null}
      </main>
    </OutsideFrame>
  );
}
