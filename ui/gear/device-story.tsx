"use client";

import { Button, Checkbox, InputNumber } from "antd";
import dynamic from "next/dynamic";
import { BED_IDS } from "@/core/facts";
import { CONTENT_CATALOGUE, differencesFromArchetype, findArchetype, type Device, type Source } from "@/core/device";
import { chosenSoundSystem, removeWithCables } from "@/core/job";
import { differenceWords, leadsWords, masterWords, passesWords } from "@/core/text";
import { DeviceFacts, EdidPanel } from "@/ui/device";
import { Choice, KeptText, SUPPLY_OPTIONS, Tabs, useChosen } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import { keepOnShelf } from "@/ui/shelf";
import styles from "./device-story.module.css";
import { PhotosTab } from "./photos-tab";
import { SettingsTable } from "./settings-table";
import { gearWords } from "@/ui/words";

const UnitsTab = dynamic(() => import("./units-tab").then((module) => module.UnitsTab), { ssr: false });

const SHOWN = [
  { key: "settings", name: gearWords.settings },
  { key: "facts", name: gearWords.whatItCan },
  { key: "units", name: gearWords.units },
  { key: "edid", name: gearWords.edid },
  { key: "photos", name: gearWords.photos },
] as const;
type Shown = (typeof SHOWN)[number]["key"];

/** Everything about one device in plain words, and what can be changed of it. */
export function DeviceStory({ device, onReplace }: { device: Device; onReplace: () => void }) {
  const { edit } = useIntents();
  const [wanted, show] = useChosen("show");
  const chosen: Shown = SHOWN.find(({ key }) => key === wanted)?.key ?? "settings";
  const photos = useJob((state) => state.job.attachments).filter((row) => row.device === device.id).length;
  const isSystem = device.role === "sound" && device.speakers !== null;
  const tabs = SHOWN.filter(({ key }) => key !== "units" || isSystem).map((tab) =>
    tab.key === "photos" && photos ? { ...tab, name: gearWords.photosCounted(photos) } : tab,
  );
  return (
    <div className={styles.story}>
      <KeptText
        label={gearWords.nameOfTheDevice}
        className={styles.name}
        value={device.name}
        limit={300}
        onKeep={(name) => edit({ kind: "rename-device", device: device.id, name })}
      />
      <p className={styles.quiet}>
        {(device.archetype && findArchetype(device.archetype)?.summary) ?? gearWords.spelledOutByHand}
        <Differences device={device} />
      </p>
      <Tabs label={gearWords.about(device.name)} tabs={tabs} chosen={chosen} onChoose={show}>
        {chosen === "settings" ? <SettingsTab device={device} /> : null}
        {chosen === "facts" ? <FactsTab device={device} /> : null}
        {chosen === "units" && isSystem ? <UnitsTab device={device} /> : null}
        {chosen === "edid" ? <EdidPanel device={device} onEdit={edit} /> : null}
        {chosen === "photos" ? <PhotosTab device={device} /> : null}
      </Tabs>
      <DeviceActs device={device} onReplace={onReplace} />
    </div>
  );
}

function Differences({ device }: { device: Device }) {
  const differences = differencesFromArchetype(device);
  const words = differences && differenceWords(device, differences);
  return words ? gearWords.differsFromItsClass(words) : null;
}

/** What it plays, where sound comes from, and its settings at the three moments of the job. */
function SettingsTab({ device }: { device: Device }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const isSystem = chosenSoundSystem(job)?.id === device.id;
  return (
    <>
      {device.speakers ? <SpeakersField device={device} /> : null}
      {device.speakers ? (
        isSystem ? (
          <p>{gearWords.soundComesFromHere}</p>
        ) : (
          <Button size="small" onClick={() => edit({ kind: "edit-brief", fields: { soundSystem: device.id } })}>
            {gearWords.letSoundComeFromHere}
          </Button>
        )
      ) : null}
      {device.sources.map((source) => (
        <ContentsField key={source.id} device={device} source={source} />
      ))}
      <PlaceFields device={device} />
      <SettingsTable device={device} />
    </>
  );
}

function FactsTab({ device }: { device: Device }) {
  const { edit } = useIntents();
  return (
    <>
      <DeviceFacts device={device} onEdit={edit} />
      <PassesList device={device} />
      {device.attachedLeads.length ? (
        <section>
          <h3>{gearWords.attachedLeads}</h3>
          <p>{leadsWords(device)}</p>
        </section>
      ) : null}
    </>
  );
}

/** Where it is, and where it comes from. */
function PlaceFields({ device }: { device: Device }) {
  const rooms = useJob((state) => state.job.rooms);
  const devices = useJob((state) => state.job.devices);
  const systems = devices.filter(({ speakers, role }) => speakers && role === "sound");
  const { edit } = useIntents();
  return (
    <div className={styles.pair}>
      <span>{gearWords.itIs}</span>
      <Choice
        size="small"
        label={gearWords.whereComesFrom(device.name)}
        value={device.supply}
        options={SUPPLY_OPTIONS}
        onChange={(supply) => edit({ kind: "edit-device", device: device.id, fields: { supply } })}
      />
      {rooms.length ? (
        <Choice
          size="small"
          label={gearWords.whereStands(device.name)}
          value={device.room ?? ""}
          options={[
            { value: "", label: gearWords.placeNotNoted },
            ...rooms.map(({ id, name }) => ({ value: id, label: gearWords.inRoom(name) })),
          ]}
          onChange={(room) => edit({ kind: "edit-device", device: device.id, fields: { room: room || null } })}
        />
      ) : null}
      {device.role === "player" && systems.length > 1 ? (
        <Choice
          size="small"
          label={gearWords.heardFrom(device.name)}
          value={device.heardFrom ?? ""}
          options={[
            { value: "", label: gearWords.heardFromTheBrief },
            ...systems.map(({ id, name }) => ({ value: id, label: gearWords.heardFromSystem(name) })),
          ]}
          onChange={(id) => edit({ kind: "edit-device", device: device.id, fields: { heardFrom: id || null } })}
        />
      ) : null}
    </div>
  );
}

function DeviceActs({ device, onReplace }: { device: Device; onReplace: () => void }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  return (
    <div className={styles.acts}>
      <Button size="small" onClick={onReplace}>
        {gearWords.replaceWithAnother}
      </Button>
      <KeepButton device={device} />
      <Button size="small" danger onClick={() => edit(removeWithCables(job, device.id))}>
        {gearWords.remove}
      </Button>
    </div>
  );
}

/** Keeps a copy of the device for other jobs, and says that it did. */
function KeepButton({ device }: { device: Device }) {
  const { say } = useIntents();
  const keep = async () => {
    const outcome = await keepOnShelf(device);
    say(outcome.ok ? gearWords.isKeptOnTheShelf(device.name) : outcome.refusal);
  };
  return (
    <Button size="small" onClick={() => void keep()}>
      {gearWords.keepOnTheShelf}
    </Button>
  );
}

function SpeakersField({ device }: { device: Device }) {
  const { edit } = useIntents();
  const speakers = device.speakers;
  if (!speakers) return null;
  const set = (bed: typeof speakers.bed, heights: number) => edit({ kind: "set-speakers", device: device.id, bed, heights });
  return (
    <section>
      <h3>{gearWords.speakers}</h3>
      <div className={styles.pair}>
        <Choice
          size="small"
          label={gearWords.speakerBed}
          value={speakers.bed}
          options={BED_IDS.map((bed) => ({ value: bed, label: bed }))}
          onChange={(bed) => set(bed, speakers.heights)}
        />
        <span>{gearWords.bedAndHeights}</span>
        <InputNumber
          size="small"
          aria-label={gearWords.heightSpeakers}
          min={0}
          max={6}
          precision={0}
          value={speakers.heights}
          onChange={(heights) => heights !== null && set(speakers.bed, heights)}
        />
        <span>{gearWords.heights}</span>
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
      <h3>
        {gearWords.playsFrom} {source.name}
      </h3>
      <Choice
        mode="multiple"
        label={gearWords.whatPlaysFrom(device.name, source.name)}
        className={styles.wide ?? ""}
        value={source.contents.map(({ id }) => id)}
        onChange={choose}
        options={known.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
      />
      {source.kind === "app" ? (
        <Checkbox
          checked={source.failsOver.includes("bluetooth")}
          onChange={(event) =>
            edit({
              kind: "edit-source",
              device: device.id,
              source: source.id,
              fields: { failsOver: event.target.checked ? ["bluetooth"] : [] },
            })
          }
        >
          {gearWords.staysSilentOverBluetooth}
        </Checkbox>
      ) : null}
    </section>
  );
}

/** What it hands on from where to where, in words. */
function PassesList({ device }: { device: Device }) {
  const lines = passesWords(device);
  if (lines.length === 0) return null;
  return (
    <section>
      <h3>{gearWords.handsOn}</h3>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </section>
  );
}
