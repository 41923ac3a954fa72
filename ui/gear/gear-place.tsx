"use client";

import { Button } from "antd";
import { Plus } from "lucide-react";
import { useState } from "react";
import { EmptyPlace } from "@/ui/kit";
import { EffectLine, Sheet, useJob } from "@/ui/job";
import { AddDeviceDialog } from "./add-device-dialog";
import { BackPlate } from "./back-plate";
import { DeviceStory } from "./device-story";
import styles from "./gear.module.css";

const LANES = [
  { role: "player", heading: "Players" },
  { role: "box", heading: "Boxes between" },
  { role: "screen", heading: "Screens" },
  { role: "sound", heading: "Sound systems" },
] as const;

/** What stands in the room: the back plates themselves are the list, with the settings beside them. */
export function GearPlace() {
  const devices = useJob((state) => state.job.devices);
  const [wanted, setWanted] = useState<string | null>(null);
  const [dialog, setDialog] = useState<{ replacing: string | null } | null>(null);
  const chosen = devices.find(({ id }) => id === wanted) ?? devices[0];
  const add = (
    <Button type="primary" icon={<Plus size={16} aria-hidden />} onClick={() => setDialog({ replacing: null })}>
      Add a device
    </Button>
  );
  return (
    <Sheet
      marginLabel="The chosen device"
      margin={chosen ? <DeviceStory key={chosen.id} device={chosen} onReplace={() => setDialog({ replacing: chosen.id })} /> : null}
      foot={
        <>
          <EffectLine />
          {devices.length ? add : null}
        </>
      }
    >
      <h2 className="for-ears-only">Gear</h2>
      {devices.length === 0 ? (
        <EmptyPlace
          heading="Nothing noted in this room yet"
          words="Each device gets its back plate here: sockets with their print, what is in them, and its settings as sentences."
        >
          {add}
        </EmptyPlace>
      ) : (
        LANES.map(({ role, heading }) => {
          const members = devices.filter((device) => device.role === role);
          return members.length ? (
            <section key={role} className={styles.lane} aria-label={heading}>
              <h3>{heading}</h3>
              {members.map((device) => (
                <BackPlate key={device.id} device={device} chosen={device.id === chosen?.id} onChoose={() => setWanted(device.id)} />
              ))}
            </section>
          ) : null;
        })
      )}
      <AddDeviceDialog open={dialog !== null} replacing={dialog?.replacing ?? null} onClose={() => setDialog(null)} onAdded={setWanted} />
    </Sheet>
  );
}
