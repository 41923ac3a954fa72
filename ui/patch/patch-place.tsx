"use client";

import Link from "next/link";
import { useMemo, useState } from "react";
import { cableAt, joinSockets, type CableEnd } from "@/core/job";
import { deviceName, refusalSentence, rowWords, VERDICT_WORDS } from "@/core/text";
import { whyNotPlug } from "@/core/job";
import { Choice, EmptyPlace, LegendButton } from "@/ui/kit";
import { EffectLine, Sheet, useIntents, useJob } from "@/ui/job";
import { CableStory } from "./cable-story";
import { PlugDesk } from "./plug-desk";
import styles from "./patch.module.css";
import { WiringMap } from "./wiring-map";

type Chosen =
  { readonly kind: "none" } | { readonly kind: "cable"; readonly cable: string } | { readonly kind: "socket"; readonly end: CableEnd };

/** The wiring map: back plates in lanes, joined socket to socket; the chosen row's sound runs through it. */
export function PatchPlace() {
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const { edit, say } = useIntents();
  const [choice, setChoice] = useState<Chosen>({ kind: "none" });
  const [wantedRow, setWantedRow] = useState<string | null>(null);
  const row = useMemo(
    () => board.find(({ id }) => id === wantedRow) ?? board.find(({ verdict }) => verdict !== "full") ?? board[0] ?? null,
    [board, wantedRow],
  );
  const chosenCable = choice.kind === "cable" ? job.cables.find(({ id }) => id === choice.cable) : undefined;

  const join = (a: CableEnd, b: CableEnd) => {
    const refusal = whyNotPlug(job, a, b);
    if (refusal) say(refusalSentence(job, refusal));
    else {
      const command = joinSockets(job, a, b);
      if (edit(command) && command.kind === "plug") setChoice({ kind: "cable", cable: command.cable.id });
    }
  };
  const press = (end: CableEnd) => {
    const cable = cableAt(job, end);
    if (choice.kind === "socket" && !(choice.end.device === end.device && choice.end.port === end.port)) join(choice.end, end);
    else if (cable) setChoice({ kind: "cable", cable: cable.id });
    else setChoice(choice.kind === "socket" ? { kind: "none" } : { kind: "socket", end });
  };

  return (
    <Sheet
      marginLabel="What is chosen on the map"
      margin={
        <div className={styles.margin}>
          {board.length ? (
            <label className={styles.rowChoice}>
              The cord on the map shows
              <Choice
                value={row?.id ?? null}
                onChange={setWantedRow}
                options={board.map((arrival) => ({
                  value: arrival.id,
                  label: `${deviceName(job, arrival.player)}, ${rowWords(arrival)}: ${VERDICT_WORDS[arrival.verdict].toLowerCase()}`,
                }))}
                label="The row whose cord the map shows"
              />
            </label>
          ) : null}
          {board.length ? <LegendButton /> : null}
          {choice.kind === "socket" ? (
            <PlugDesk end={choice.end} onJoin={(other) => join(choice.end, other)} onCancel={() => setChoice({ kind: "none" })} />
          ) : null}
          {chosenCable ? <CableStory cable={chosenCable} onGone={() => setChoice({ kind: "none" })} /> : null}
          {choice.kind === "none" || (choice.kind === "cable" && !chosenCable) ? (
            <p className={styles.quiet}>
              Drag from a socket to another, or choose a socket and then its other end. Sockets that cannot take the plug step back and say
              why. A cable is chosen at either of its sockets.
            </p>
          ) : null}
        </div>
      }
      foot={<EffectLine />}
    >
      <h2 className="for-ears-only">Patch</h2>
      {job.devices.length ? (
        <WiringMap
          row={row}
          held={choice.kind === "socket" ? choice.end : null}
          chosenCable={chosenCable?.id ?? null}
          onPress={press}
          onJoin={join}
          onChooseCable={(cable) => setChoice({ kind: "cable", cable })}
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
    <EmptyPlace heading="No back plate to plug into yet" words="Here every device stands with its sockets, and cables join them.">
      <Link href={`/jobs/${id}/gear`}>Take stock of the gear</Link>
    </EmptyPlace>
  );
}
