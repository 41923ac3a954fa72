"use client";

import { Button } from "antd";
import type { Command } from "@/core/job";
import { placeUnit } from "@/core/room";
import { proposalSentence, upperFirst } from "@/core/text";
import { formatLength } from "@/core/units";
import { WorkNote } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import { roomWords } from "@/ui/words";
import styles from "./room.module.css";
import type { Proposing } from "./use-proposals";

interface ProposalListProps {
  readonly working: Proposing;
  readonly room: string;
  readonly gridM: number;
  readonly onEdit: (command: Command) => void;
  readonly onLeave: () => void;
}

/** The places that are proposed, each with its reason, and the way to use them. */
export function ProposalList({ working, room, gridM, onEdit, onLeave }: ProposalListProps) {
  const { units } = usePreferences();
  const proposals = working.work.state === "done" ? working.work.answer : null;
  return (
    <section aria-label={roomWords.proposedPlaces} className={styles.story}>
      <h3>{roomWords.proposedPlaces}</h3>
      <WorkNote working={working} words={roomWords.searching} />
      {working.work.state === "done" && !proposals ? <p>{roomWords.needsWallsAndSeat}</p> : null}
      {proposals ? (
        <>
          <p className={styles.quiet}>{roomWords.howProposed(formatLength(gridM, units))}</p>
          <ul className={styles.channels}>
            {proposals.map((proposal) => (
              <li key={`${proposal.one.device.id} ${proposal.one.unit.id}`}>
                <b>{upperFirst(proposal.one.unit.name)}</b>
                <span className={styles.figures}>
                  {roomWords.placeAt(
                    formatLength(proposal.placement.at.x, units),
                    formatLength(proposal.placement.at.y, units),
                    formatLength(proposal.placement.heightM, units),
                  )}
                </span>
                <p>{upperFirst(proposalSentence(proposal))}</p>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      <div className={styles.buttons}>
        {proposals?.length ? (
          <Button
            type="primary"
            onClick={() => {
              onEdit({
                kind: "batch",
                commands: proposals.map(({ placement }) =>
                  placeUnit(room, { ...placement, at: rounded(placement.at), heightM: Number(placement.heightM.toFixed(2)) }),
                ),
              });
              onLeave();
            }}
          >
            {roomWords.usePlaces}
          </Button>
        ) : null}
        <Button onClick={onLeave}>{roomWords.leaveAsIs}</Button>
      </div>
    </section>
  );
}

const rounded = ({ x, y }: { x: number; y: number }) => ({ x: Number(x.toFixed(2)), y: Number(y.toFixed(2)) });
