"use client";

import { Button } from "antd";
import { Plus } from "lucide-react";
import { useState } from "react";
import { SpeakerUnit, unitsOf, type Device } from "@/core/device";
import { freeId } from "@/core/job";
import { upperFirst } from "@/core/text";
import { useIntents } from "@/ui/job";
import { gearWords } from "@/ui/words";
import { DialsFields } from "./dials-fields";
import { UnitFields } from "./unit-fields";
import styles from "./units-tab.module.css";

/** The boxes of a sound system and what can be dialled at it, to be corrected by whoever has it in hand. */
export function UnitsTab({ device }: { device: Device }) {
  const { edit } = useIntents();
  const [open, setOpen] = useState<string | null>(null);
  const units = unitsOf(device);
  // Units that nobody wrote down are written down with the first correction.
  const keep = (next: readonly SpeakerUnit[]) => edit({ kind: "edit-device", device: device.id, fields: { units: [...next] } });
  const add = () => {
    const id = freeId("unit-1", new Set(units.map((unit) => unit.id)));
    keep([...units, SpeakerUnit.parse({ id, name: gearWords.newUnit, feed: { feed: "wire" } })]);
    setOpen(id);
  };
  return (
    <>
      {device.units.length === 0 ? <p className={styles.quiet}>{gearWords.unitsAssumed}</p> : null}
      <ul className={styles.units}>
        {units.map((unit) => (
          <li key={unit.id}>
            <button
              type="button"
              aria-expanded={open === unit.id}
              className={styles.unit}
              onClick={() => setOpen(open === unit.id ? null : unit.id)}
            >
              <b>{upperFirst(unit.name)}</b> <span>{unit.drivers.map(({ channel }) => channel).join(" ") || gearWords.playsNothing}</span>
            </button>
            {open === unit.id ? (
              <UnitFields
                device={device}
                unit={unit}
                onKeep={(change) => keep(units.map((row) => (row.id === unit.id ? { ...row, ...change } : row)))}
                onRemove={() => keep(units.filter((row) => row.id !== unit.id))}
              />
            ) : null}
          </li>
        ))}
      </ul>
      <Button size="small" icon={<Plus size={14} aria-hidden />} onClick={add}>
        {gearWords.addUnit}
      </Button>
      <DialsFields device={device} />
    </>
  );
}
