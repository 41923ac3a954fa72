"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import { CONTENT_CATALOGUE } from "@/core/device";
import type { Preferences } from "@/core/preferences";
import { masterWords } from "@/core/text";
import { OutsideFrame } from "@/ui/frame";
import { Choice } from "@/ui/kit";
import { useKeepPreferences, usePreferences } from "@/ui/preferences";
import { useThemeChoice } from "@/ui/theme";
import styles from "./settings.module.css";

const SOURCES = [
  { kind: "media", label: "A player’s own media" },
  { kind: "app", label: "An app" },
  { kind: "tuner", label: "A tuner" },
] as const;

/** What the firm sets once: the look, the units, its name for print, and what a new player is taken to play. */
export function SettingsPlace() {
  const kept = usePreferences();
  const keep = useKeepPreferences();
  const { theme, setTheme } = useThemeChoice();
  const [draft, setDraft] = useState(kept);
  const [told, setTold] = useState<string | null>(null);
  const set = (change: Partial<Preferences>) => {
    setDraft({ ...draft, ...change });
    setTold(null);
  };
  const changed = JSON.stringify(draft) !== JSON.stringify(kept);
  const save = async () => {
    const outcome = await keep(draft);
    setTold(outcome.ok ? "Kept." : outcome.refusal);
  };
  return (
    <OutsideFrame>
      <main className={styles.settings}>
        <section aria-label="The look">
          <h2>The look</h2>
          <label>
            Theme
            <Choice
              label="Theme"
              value={theme}
              options={[
                { value: "dim", label: "for dim rooms" },
                { value: "day", label: "for daylight" },
              ]}
              onChange={setTheme}
            />
          </label>
          <label>
            Lengths
            <Choice
              label="Units of length"
              value={draft.units}
              options={[
                { value: "metric", label: "in metres" },
                { value: "imperial", label: "in feet" },
              ]}
              onChange={(units) => set({ units })}
            />
          </label>
          <label>
            Written after amounts
            <Input value={draft.currency} maxLength={8} onChange={(event) => set({ currency: event.target.value })} />
          </label>
        </section>
        <section aria-label="The firm">
          <h2>The firm, for print</h2>
          <label>
            Name
            <Input
              value={draft.firm.name}
              maxLength={120}
              onChange={(event) => set({ firm: { ...draft.firm, name: event.target.value } })}
            />
          </label>
          <label>
            Address
            <Input
              value={draft.firm.address}
              maxLength={300}
              onChange={(event) => set({ firm: { ...draft.firm, address: event.target.value } })}
            />
          </label>
          <label>
            Telephone
            <Input
              value={draft.firm.phone}
              maxLength={60}
              onChange={(event) => set({ firm: { ...draft.firm, phone: event.target.value } })}
            />
          </label>
        </section>
        <section aria-label="What new players play">
          <h2>What new players play</h2>
          <p className={styles.quiet}>
            A player taken from the shelf begins with these contents; with none chosen it begins with those of its class.
          </p>
          {SOURCES.map(({ kind, label }) => (
            <label key={kind}>
              {label}
              <Choice
                mode="multiple"
                label={label}
                value={draft.contents[kind]}
                options={CONTENT_CATALOGUE.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
                onChange={(ids: string[]) => set({ contents: { ...draft.contents, [kind]: ids } })}
              />
            </label>
          ))}
        </section>
        <footer className={styles.foot}>
          <span aria-live="polite">{told ?? (changed ? "Not kept yet." : "")}</span>
          <Button type="primary" disabled={!changed} onClick={() => void save()}>
            Keep
          </Button>
        </footer>
      </main>
    </OutsideFrame>
  );
}
