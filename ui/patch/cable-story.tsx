"use client";

import { Button } from "antd";
import { cableClassFact, classesJoining, ONE_WAY_CLASSES, type ReturnWires } from "@/core/facts";
import { findPort, moveCableEnd, sameEnd, socketAnswers, type Cable, type CableEnd } from "@/core/job";
import { cableMark, deviceName, endTag, socketName } from "@/core/text";
import { Choice, KeptText, SUPPLY_OPTIONS } from "@/ui/kit";
import { useIntents, useJob } from "@/ui/job";
import { LengthField } from "@/ui/preferences";
import styles from "./patch.module.css";
import { patchWords } from "@/ui/words";

const WIRES = [
  { value: "earc", label: patchWords.theMadePairEarc },
  { value: "arc", label: patchWords.theSingleWireArc },
  { value: "none", label: patchWords.none },
  { value: "unknown", label: patchWords.notKnown },
] as const;

/** A cable as an object: its ends, class, length, direction, return wires and label. */
export function CableStory({ cable, onGone }: { cable: Cable; onGone: () => void }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [out, into] = [findPort(job, cable.from), findPort(job, cable.to)];
  const set = (
    fields: Partial<
      Pick<Cable, "class" | "lengthM" | "direction" | "backwards" | "returnWires" | "controlWire" | "label" | "tags" | "supply">
    >,
  ) => edit({ kind: "edit-cable", cable: cable.id, fields });
  return (
    <section className={styles.desk} aria-label={patchWords.theChosenCable}>
      <h3>{patchWords.cableBetween(deviceName(job, cable.from.device), deviceName(job, cable.to.device))}</h3>
      <EndField cable={cable} end="from" />
      <EndField cable={cable} end="to" />
      <label>
        {patchWords.classWord}
        <Choice
          value={cable.class}
          options={(out && into ? classesJoining(out.connector, into.connector) : []).map((id) => ({
            value: id,
            label: cableClassFact(id).name,
          }))}
          onChange={(chosen) =>
            set({
              class: chosen,
              returnWires: cableClassFact(chosen).assures,
              direction: ONE_WAY_CLASSES.has(chosen) ? "one-way" : "either",
              backwards: false,
            })
          }
          label={patchWords.classOfTheCable}
        />
      </label>
      <label>
        {patchWords.length}
        <LengthField label={patchWords.length} value={cable.lengthM} onChange={(lengthM) => lengthM !== null && set({ lengthM })} />
      </label>
      {out?.connector === "hdmi" ? (
        <label>
          {patchWords.returnWires}
          <Choice
            value={cable.returnWires ?? "unknown"}
            options={[...WIRES]}
            onChange={(value: ReturnWires | "unknown") => set({ returnWires: value === "unknown" ? null : value })}
            label={patchWords.returnWiresOfTheCable}
          />
        </label>
      ) : null}
      <label>
        {patchWords.direction}
        <Choice
          value={cable.direction}
          options={[
            { value: "either", label: patchWords.worksEitherWayRound },
            { value: "one-way", label: patchWords.oneWayOnly },
          ]}
          onChange={(direction) => set({ direction })}
          label={patchWords.directionOfTheCable}
        />
      </label>
      {cable.direction === "one-way" ? (
        <label>
          {patchWords.layingOfTheCable}
          <Choice
            value={cable.backwards ? "backwards" : "right"}
            options={[
              { value: "right" as const, label: patchWords.laidRight },
              { value: "backwards" as const, label: patchWords.laidBackwards },
            ]}
            onChange={(value) => set({ backwards: value === "backwards" })}
            label={patchWords.layingOfTheCable}
          />
        </label>
      ) : null}
      {cable.miswired ? <p className={styles.warning}>{patchWords.foundMiswired}</p> : null}
      {out?.connector === "hdmi" ? (
        <label>
          {patchWords.controlWire}
          <Choice
            value={cable.controlWire ? "there" : "missing"}
            options={[
              { value: "there" as const, label: patchWords.controlWireThere },
              { value: "missing" as const, label: patchWords.controlWireMissing },
            ]}
            onChange={(value) => set({ controlWire: value === "there" })}
            label={patchWords.controlWireOfTheCable}
          />
        </label>
      ) : null}
      <label>
        {patchWords.itIs}
        <Choice
          value={cable.supply}
          options={SUPPLY_OPTIONS}
          onChange={(supply) => set({ supply })}
          label={patchWords.whereTheCableComesFrom}
        />
      </label>
      <label>
        {patchWords.markOfTheCable}
        <KeptText
          label={patchWords.markOfTheCable}
          value={cable.label}
          limit={80}
          placeholder={cableMark(job, cable)}
          onKeep={(label) => set({ label })}
        />
      </label>
      {(["from", "to"] as const).map((end) => (
        <label key={end}>
          {patchWords.labelAt(deviceName(job, cable[end].device))}
          <KeptText
            label={patchWords.labelAt(deviceName(job, cable[end].device))}
            value={cable.tags[end]}
            limit={80}
            placeholder={endTag(job, cable, end)}
            onKeep={(text) => set({ tags: { ...cable.tags, [end]: text } })}
          />
        </label>
      ))}
      <Button
        danger
        onClick={() => {
          if (edit({ kind: "unplug", cable: cable.id })) onGone();
        }}
      >
        {patchWords.pullItOut}
      </Button>
    </section>
  );
}

/** Where one end is plugged, and the free sockets it could move to. */
function EndField({ cable, end }: { cable: Cable; end: "from" | "to" }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [here, other] = [cable[end], cable[end === "from" ? "to" : "from"]];
  const direction = findPort(job, here)?.direction;
  const free = socketAnswers(job, other, cable.id).filter(
    ({ refusal, end: socket }) => refusal === null && !sameEnd(socket, here) && findPort(job, socket)?.direction === direction,
  );
  const value = (socket: CableEnd) => JSON.stringify(socket);
  return (
    <label>
      {end === "from" ? patchWords.from : patchWords.into}
      <Choice
        showSearch={{ optionFilterProp: "label" }}
        value={value(here)}
        options={[here, ...free.map((row) => row.end)].map((socket) => ({ value: value(socket), label: socketName(job, socket) }))}
        onChange={(chosen: string) => {
          const target = free.find((row) => value(row.end) === chosen)?.end;
          if (target) edit(moveCableEnd(job, cable, end, target));
        }}
        label={end === "from" ? patchWords.theSocketItComesFrom : patchWords.theSocketItGoesTo}
      />
    </label>
  );
}
