"use client";

import dynamic from "next/dynamic";
import Link from "next/link";
import { useDeferredValue, useMemo, useState } from "react";
import { cableAt, joinSockets, whyNotLay, type CableEnd } from "@/core/job";
import { deviceName, refusalSentence, rowWords, verdictWords } from "@/core/text";
import { Choice, EmptyPlace, LegendButton, Switcher, useChosen } from "@/ui/kit";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { layerOf, LAYERS, type LayerKey } from "@/core/drawing";
import styles from "./patch.module.css";
import { WiringMap } from "./wiring-map";
import { patchWords } from "@/ui/words";

const LAYER_NAMES: Readonly<Record<LayerKey, string>> = {
  sound: patchWords.sound,
  picture: patchWords.picture,
  control: patchWords.control,
  power: patchWords.power,
};
const LAYER_CHOICES = LAYERS.map((key) => ({ key, name: LAYER_NAMES[key] }));

/** The form of a cable is fetched when one is first chosen. */
const ExportButtons = dynamic(() => import("./export-buttons").then((module) => module.ExportButtons), { ssr: false });
const PlugDesk = dynamic(() => import("./plug-desk").then((module) => module.PlugDesk), { ssr: false });
const CableStory = dynamic(() => import("./cable-story").then((module) => module.CableStory), { ssr: false });

/** The wiring map: back plates in lanes, joined socket to socket; the chosen row's way lights from end to end. */
export function PatchPlace() {
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const { edit, say } = useIntents();
  const [held, setHeld] = useState<CableEnd | null>(null);
  const [cableId, setCable] = useChosen("cable");
  const [wantedRow, setWantedRow] = useChosen("row");
  const [layerKey, setLayerKey] = useState<LayerKey>("sound");
  const row = useMemo(
    () => board.find(({ id }) => id === wantedRow) ?? board.find(({ verdict }) => verdict !== "full") ?? board[0] ?? null,
    [board, wantedRow],
  );
  const layer = useMemo(() => layerOf(job, row, layerKey), [job, row, layerKey]);
  const chosenCable = held ? undefined : job.cables.find(({ id }) => id === cableId);
  // The press shows on the map at once; what the margin tells of it may come a frame later.
  const [toldCable, toldPlug] = [useDeferredValue(chosenCable?.id), useDeferredValue(held)];
  const story = job.cables.find(({ id }) => id === toldCable);
  const chooseCable = (id: string | null) => {
    setHeld(null);
    setCable(id);
  };
  const join = (a: CableEnd, b: CableEnd) => {
    const refusal = whyNotLay(job, a, b);
    if (refusal) return say(refusalSentence(job, refusal));
    const command = joinSockets(job, a, b);
    if (edit(command) && command.kind === "plug") chooseCable(command.cable.id);
  };
  const press = (end: CableEnd) => {
    const cable = cableAt(job, end);
    if (held && !(held.device === end.device && held.port === end.port)) join(held, end);
    else if (cable) chooseCable(cable.id);
    else setHeld(held ? null : end);
  };
  return (
    <Sheet
      marginLabel={patchWords.whatIsChosen}
      margin={
        <div className={styles.margin}>
          <Switcher label={patchWords.whatTheMapShows} choices={LAYER_CHOICES} chosen={layerKey} onChoose={setLayerKey} />
          {board.length && layerKey !== "control" ? (
            <label className={styles.rowChoice}>
              {patchWords.mapShows}
              <Choice
                value={row?.id ?? null}
                onChange={setWantedRow}
                options={board.map((arrival) => ({
                  value: arrival.id,
                  label: `${deviceName(job, arrival.player)}, ${rowWords(arrival)}: ${verdictWords(arrival).toLowerCase()}`,
                }))}
                label={patchWords.rowOnTheMap}
              />
            </label>
          ) : null}
          {board.length ? <LegendButton /> : null}
          {toldPlug ? <PlugDesk end={toldPlug} onJoin={(other) => join(toldPlug, other)} onCancel={() => setHeld(null)} /> : null}
          {story ? <CableStory cable={story} onGone={() => chooseCable(null)} /> : null}
          {toldPlug || story ? null : <p className={styles.quiet}>{patchWords.howToPlug}</p>}
          {job.devices.length ? <ExportButtons row={row} /> : null}
        </div>
      }
      foot={<EffectLine />}
    >
      <h2 className="for-ears-only">{patchWords.patch}</h2>
      {job.devices.length ? (
        <WiringMap
          layer={layer}
          held={held}
          chosenCable={chosenCable?.id ?? null}
          onPress={press}
          onJoin={join}
          onChooseCable={chooseCable}
        />
      ) : (
        <EmptyMap />
      )}
    </Sheet>
  );
}

function EmptyMap() {
  const id = useJob((state) => state.id);
  return (
    <EmptyPlace heading={patchWords.emptyMapHeading} words={patchWords.emptyMap}>
      <Link href={`/jobs/${id}/gear`}>{patchWords.takeStockOfTheGear}</Link>
    </EmptyPlace>
  );
}
