"use client";

import { Button } from "antd";
import { Timer } from "lucide-react";
import { useEffect, useState } from "react";
import { castOf, type Act, type Household } from "@/core/cec";
import { findDevice } from "@/core/job";
import { deviceName } from "@/core/text";
import { useIntents, useJob } from "@/ui/job";
import { visitWords } from "@/ui/words";
import styles from "./prove.module.css";

const TICK_MS = 100;

/** From the press of the key until it is on; the time can become the device's own wake time. */
export function Stopwatch({ act, household, onMeasured }: { act: Act; household: Household; onMeasured: (seconds: number) => void }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [since, setSince] = useState<number | null>(null);
  const [ms, setMs] = useState<number | null>(null);
  useEffect(() => {
    if (since === null) return;
    const timer = setInterval(() => setMs(Date.now() - since), TICK_MS);
    return () => clearInterval(timer);
  }, [since]);
  const shown = ms === null ? null : (ms / 1000).toFixed(1);
  const press = () => {
    const now = Date.now();
    if (since === null) {
      setMs(0);
      setSince(now);
      return;
    }
    setMs(now - since);
    setSince(null);
    onMeasured(Math.round((now - since) / 100) / 10);
  };
  const device = findDevice(job, wokenBy(act, household) ?? "");
  return (
    <p className={styles.watch}>
      <Button icon={<Timer size={18} aria-hidden />} onClick={press}>
        {since === null ? visitWords.startWatch : visitWords.stopWatch}
      </Button>
      {shown === null ? null : <b role="timer">{visitWords.watchReads(shown)}</b>}
      {shown !== null && since === null && device && ms ? (
        <Button
          onClick={() =>
            edit({ kind: "edit-device", device: device.id, fields: { control: { ...device.control, wakeMs: Math.round(ms / 100) * 100 } } })
          }
        >
          {visitWords.keepWake(deviceName(job, device.id), shown)}
        </Button>
      ) : null}
    </p>
  );
}

/** The device whose waking an act is about: the sound system that follows the screen, or the player that is woken. */
function wokenBy(act: Act, household: Household): string | null {
  if (act.act === "wake" || act.act === "other-screen-on") return act.device;
  return act.act === "screen-on" || act.act === "music" || act.act === "news" ? (castOf(household).system?.nature.device ?? null) : null;
}
