"use client";

import { CONTENT_CATALOGUE, type Device, type Source } from "@/core/device";
import { masterWords } from "@/core/text";
import { Choice } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import styles from "./brief.module.css";
import { briefWords } from "@/ui/words";

/** What they watch and play, player by player: each becomes a row of Arrivals. */
export function WatchedSection() {
  const devices = useJob((state) => state.job.devices);
  const rows = devices.flatMap((device) => device.sources.map((source) => ({ device, source })));
  return (
    <section aria-label={briefWords.whatTheyWatchAndPlay}>
      <h3>{briefWords.whatTheyWatchAndPlay}</h3>
      <p className={styles.uses}>{briefWords.eachBecomesARow}</p>
      {rows.length === 0 ? <p>{briefWords.noPlayersYet}</p> : null}
      <ul className={styles.watched}>
        {rows.map(({ device, source }) => (
          <Watched key={`${device.id} ${source.id}`} device={device} source={source} />
        ))}
      </ul>
    </section>
  );
}

function Watched({ device, source }: { device: Device; source: Source }) {
  const { edit } = useIntents();
  const own = source.contents.filter((content) => !CONTENT_CATALOGUE.some(({ id }) => id === content.id));
  const known = [...own, ...CONTENT_CATALOGUE];
  return (
    <li>
      <span dir="auto">
        {device.name}
        {source.kind === "media" ? "" : `, ${source.name}`}
      </span>
      <Choice
        mode="multiple"
        label={briefWords.whatIsWatchedOn(device.name, source.name)}
        value={source.contents.map(({ id }) => id)}
        placeholder={briefWords.nothing}
        maxTagCount={4}
        options={known.map((content) => ({ value: content.id, label: `${content.name}, ${masterWords({ content })}` }))}
        onChange={(ids: string[]) =>
          edit({
            kind: "set-contents",
            device: device.id,
            source: source.id,
            contents: ids.flatMap((id) => source.contents.find((row) => row.id === id) ?? known.find((row) => row.id === id) ?? []),
          })
        }
      />
    </li>
  );
}
