"use client";

import { Button } from "antd";
import { Footprints, ListPlus, Plus, Search } from "lucide-react";
import dynamic from "next/dynamic";
import Link from "next/link";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { openQuestions } from "@/core/survey";
import { EmptyPlace, useChosen } from "@/ui/kit";
import { EffectLine, isTyping, Sheet, useJob } from "@/ui/job";
import { AddDeviceDialog } from "./add-device-dialog";
import { BackPlate } from "./back-plate";
import { DeviceStory } from "./device-story";
import styles from "./gear.module.css";
import { WalkDialog } from "./walk-dialog";
import { gearWords } from "@/ui/words";

const TableDialog = dynamic(() => import("./table-dialog").then((module) => module.TableDialog), { ssr: false });

const LANES = [
  { role: "player", heading: gearWords.players },
  { role: "box", heading: gearWords.boxesBetween },
  { role: "screen", heading: gearWords.screens },
  { role: "sound", heading: gearWords.soundSystems },
] as const;

type Dialog = { readonly kind: "add"; readonly replacing: string | null } | { readonly kind: "table" } | { readonly kind: "walk" };

/** What is in the room: the back plates themselves are the list, with the settings beside them. */
export function GearPlace() {
  const devices = useJob((state) => state.job.devices);
  const [wanted, setWanted] = useChosen("device");
  const [adding, setAdding] = useChosen("add");
  const [opened, setOpened] = useState<Dialog | null>(null);
  const dialog: Dialog | null = opened ?? (adding ? { kind: "add", replacing: null } : null);
  const chosen = devices.find(({ id }) => id === wanted) ?? devices[0];
  const latest = useRef(setWanted);
  useEffect(() => {
    latest.current = setWanted;
  });
  // One function for all plates, so that choosing another does not redraw them all.
  const choose = useCallback((id: string) => latest.current(id), []);
  const close = () => {
    setOpened(null);
    if (adding) setAdding(null);
  };
  useKeys({ a: () => setOpened({ kind: "add", replacing: null }), w: () => devices.length && setOpened({ kind: "walk" }) });
  const add = (
    <Button
      type="primary"
      icon={<Plus size={16} aria-hidden />}
      onClick={() => setOpened({ kind: "add", replacing: null })}
      title={gearWords.addADeviceA}
    >
      {gearWords.addADevice}
    </Button>
  );
  return (
    <Sheet
      marginLabel={gearWords.theChosenDevice}
      margin={
        chosen ? <DeviceStory key={chosen.id} device={chosen} onReplace={() => setOpened({ kind: "add", replacing: chosen.id })} /> : null
      }
      foot={
        <>
          <EffectLine />
          {devices.length ? add : null}
        </>
      }
    >
      <h2 className="for-ears-only">{gearWords.gear}</h2>
      <div className={styles.tools}>
        <Button icon={<ListPlus size={16} aria-hidden />} onClick={() => setOpened({ kind: "table" })}>
          {gearWords.devicesFromATable}
        </Button>
        <Button
          icon={<Footprints size={16} aria-hidden />}
          disabled={devices.length === 0}
          onClick={() => setOpened({ kind: "walk" })}
          title={gearWords.writeDownThePlugsW}
        >
          {gearWords.writeDownThePlugs}
        </Button>
        <OpenCount />
      </div>
      {devices.length === 0 ? (
        <EmptyPlace heading={gearWords.nothingNotedInThisRoom} words={gearWords.emptyGear}>
          {add}
        </EmptyPlace>
      ) : (
        LANES.map(({ role, heading }) => {
          const members = devices.filter((device) => device.role === role);
          return members.length ? (
            <section key={role} className={styles.lane} aria-label={heading}>
              <h3>{heading}</h3>
              {members.map((device) => (
                <BackPlate key={device.id} device={device} chosen={device.id === chosen?.id} onChoose={choose} />
              ))}
            </section>
          ) : null;
        })
      )}
      {dialog?.kind === "add" ? <AddDeviceDialog replacing={dialog.replacing} onClose={close} onAdded={setWanted} /> : null}
      {dialog?.kind === "table" ? <TableDialog onClose={close} /> : null}
      {dialog?.kind === "walk" ? <WalkDialog onClose={close} /> : null}
    </Sheet>
  );
}

/** How much is still to be found out on site; the list is on Brief. */
function OpenCount() {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const count = useMemo(() => openQuestions(job, board).length, [job, board]);
  if (count === 0) return null;
  return (
    <Link href={`/jobs/${id}/brief`} className={styles.openCount}>
      <Search size={14} aria-hidden /> {gearWords.toFindOutOnSite(count)}
    </Link>
  );
}

/** A opens the shelf: then a letter or two, and Enter. W walks the plugs. */
function useKeys(acts: Readonly<Record<string, () => unknown>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const act = acts[event.key.toLowerCase()];
      if (!act || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
      if (document.querySelector('[role="dialog"]')) return;
      event.preventDefault();
      act();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
