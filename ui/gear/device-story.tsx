"use client";

import { Button, Input, InputNumber } from "antd";
import { useState } from "react";
import { BED_IDS, optionLabel, settingFact } from "@/core/facts";
import {
  CONTENT_CATALOGUE,
  effectiveSetting,
  findArchetype,
  type Device,
  type Setting,
  type SettingState,
  type Source,
} from "@/core/device";
import { chosenSoundSystem, removeWithCables } from "@/core/job";
import { descriptorWords, leadsWords, masterWords, passesWords } from "@/core/text";
import { Choice } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import { keepOnShelf } from "@/ui/shelf";
import styles from "./device-story.module.css";

/** Everything about one device in plain words, and what can be changed of it. */
export function DeviceStory({ device, onReplace }: { device: Device; onReplace: () => void }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const isSystem = chosenSoundSystem(job)?.id === device.id;
  return (
    <div className={styles.story}>
      <NameField device={device} />
      <p className={styles.quiet}>{(device.archetype && findArchetype(device.archetype)?.summary) ?? "Spelled out by hand."}</p>
      {device.speakers ? <SpeakersField device={device} /> : null}
      {device.speakers ? (
        isSystem ? (
          <p>Sound of this job should come from here.</p>
        ) : (
          <Button size="small" onClick={() => edit({ kind: "edit-job", fields: { brief: { ...job.brief, soundSystem: device.id } } })}>
            Let the sound come from here
          </Button>
        )
      ) : null}
      {device.sources.map((source) => (
        <ContentsField key={source.id} device={device} source={source} />
      ))}
      <section>
        <h3>Decodes</h3>
        <p>{device.decodes === null ? "Not known." : device.decodes.map(descriptorWords).join(", ") || "Nothing."}</p>
      </section>
      <PassesList device={device} />
      {device.attachedLeads.length ? (
        <section>
          <h3>Leads that are part of it</h3>
          <p>{leadsWords(device)}</p>
        </section>
      ) : null}
      <SettingsTable device={device} />
      <div className={styles.acts}>
        <Button size="small" onClick={onReplace}>
          Replace with another …
        </Button>
        <KeepButton device={device} />
        <Button size="small" danger onClick={() => edit(removeWithCables(job, device.id))}>
          Remove
        </Button>
      </div>
    </div>
  );
}

/** Keeps a copy of the device for other jobs, and says that it did. */
function KeepButton({ device }: { device: Device }) {
  const { say } = useIntents();
  const keep = async () => {
    const outcome = await keepOnShelf(device);
    say(outcome.ok ? `${device.name} is kept on the shelf for other jobs.` : outcome.refusal);
  };
  return (
    <Button size="small" onClick={() => void keep()}>
      Keep on the shelf
    </Button>
  );
}

function NameField({ device }: { device: Device }) {
  const { edit } = useIntents();
  const [name, setName] = useState(device.name);
  const keep = () => {
    if (name !== device.name && !edit({ kind: "rename-device", device: device.id, name })) setName(device.name);
  };
  return (
    <Input
      aria-label="Name of the device"
      className={styles.name ?? ""}
      value={name}
      maxLength={300}
      onChange={(event) => setName(event.target.value)}
      onBlur={keep}
      onPressEnter={keep}
    />
  );
}

function SpeakersField({ device }: { device: Device }) {
  const { edit } = useIntents();
  const speakers = device.speakers;
  if (!speakers) return null;
  const set = (bed: typeof speakers.bed, heights: number) => edit({ kind: "set-speakers", device: device.id, bed, heights });
  return (
    <section>
      <h3>Speakers</h3>
      <div className={styles.pair}>
        <Choice
          size="small"
          label="Speaker bed"
          value={speakers.bed}
          options={BED_IDS.map((bed) => ({ value: bed, label: bed }))}
          onChange={(bed) => set(bed, speakers.heights)}
        />
        <span>and</span>
        <InputNumber
          size="small"
          aria-label="Height speakers"
          min={0}
          max={6}
          precision={0}
          value={speakers.heights}
          onChange={(heights) => heights !== null && set(speakers.bed, heights)}
        />
        <span>heights</span>
      </div>
    </section>
  );
}

/** What it plays: these become the rows of the board. */
function ContentsField({ device, source }: { device: Device; source: Source }) {
  const { edit } = useIntents();
  const own = source.contents.filter((content) => !CONTENT_CATALOGUE.some(({ id }) => id === content.id));
  const known = [...CONTENT_CATALOGUE, ...own];
  const choose = (ids: string[]) =>
    edit({
      kind: "set-contents",
      device: device.id,
      source: source.id,
      contents: ids.flatMap((id) => source.contents.find((row) => row.id === id) ?? known.find((row) => row.id === id) ?? []),
    });
  return (
    <section>
      <h3>Plays from {source.name}</h3>
      <Choice
        mode="multiple"
        label={`What ${device.name} plays from ${source.name}`}
        className={styles.wide ?? ""}
        value={source.contents.map(({ id }) => id)}
        onChange={choose}
        options={known.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
      />
    </section>
  );
}

/** What it hands on from where to where, in words. */
function PassesList({ device }: { device: Device }) {
  const lines = passesWords(device);
  if (lines.length === 0) return null;
  return (
    <section>
      <h3>Hands on</h3>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </section>
  );
}

const STATES = ["found", "planned", "left"] as const;

/** As found, planned and left, side by side, with the place in the menu to look for. */
function SettingsTable({ device }: { device: Device }) {
  if (device.settings.length === 0) return null;
  return (
    <section>
      <h3>Settings as found, planned and left</h3>
      <ul className={styles.settings}>
        {device.settings.map((setting) => (
          <li key={setting.key}>
            <b>{settingFact(setting.key).name}</b>
            <span>look in: {settingFact(setting.key).lookIn}</span>
            <div>
              {STATES.map((state) => (
                <StateField key={state} device={device} setting={setting} state={state} />
              ))}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function StateField({ device, setting, state }: { device: Device; setting: Setting; state: SettingState }) {
  const { edit } = useIntents();
  const follows = effectiveSetting(device, setting.key, state);
  return (
    <label>
      {state}
      <select
        aria-label={`${settingFact(setting.key).name}, as ${state}`}
        value={setting[state] ?? ""}
        onChange={(event) =>
          edit({ kind: "set-setting", device: device.id, setting: setting.key, state, value: event.target.value || null })
        }
      >
        <option value="">{state === "found" || !follows ? "not known" : `(${optionLabel(setting.key, follows)})`}</option>
        {setting.options.map((option) => (
          <option key={option} value={option}>
            {optionLabel(setting.key, option)}
          </option>
        ))}
      </select>
    </label>
  );
}
