"use client";

import { Button } from "antd";
import { FileUp, PackageOpen } from "lucide-react";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { z } from "zod";
import { askServer } from "@/ui/kit";
import { settingsWords } from "@/ui/words";
import styles from "./settings.module.css";

const BroughtIn = z.object({
  jobs: z.array(z.string()),
  photosLeftOut: z.array(z.string()),
  devices: z.number(),
  lines: z.number(),
  settings: z.boolean(),
  refused: z.array(z.object({ file: z.string(), detail: z.string() })),
});

/** Everything as open files: out, and into another Octachord. */
export function Everything() {
  const router = useRouter();
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [told, setTold] = useState<readonly string[]>([]);
  const bring = async (given: File | undefined) => {
    if (!given) return;
    setBusy(true);
    const outcome = await askServer("/api/everything", { method: "POST", body: given, headers: { "Content-Type": "application/zip" } });
    setBusy(false);
    if (!outcome.ok) {
      setTold([settingsWords.notBroughtIn(given.name, outcome.refusal)]);
      return;
    }
    const { jobs, photosLeftOut, devices, lines, settings, refused } = BroughtIn.parse(outcome.value);
    setTold([
      settingsWords.broughtIn(jobs.length, devices, lines),
      settings ? settingsWords.settingsCameIn : settingsWords.settingsStayed,
      ...(photosLeftOut.length ? [settingsWords.photosLeftOut(photosLeftOut)] : []),
      ...refused.map(({ file: name, detail }) => settingsWords.notBroughtIn(name, detail)),
    ]);
    router.refresh();
  };
  return (
    <>
      <p className={styles.quiet}>{settingsWords.everythingWords}</p>
      <p className={styles.row}>
        <Button href="/api/everything" icon={<PackageOpen size={16} aria-hidden />}>
          {settingsWords.takeEverythingOut}
        </Button>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          hidden
          data-testid="everything-file"
          onChange={(event) => void bring(event.target.files?.[0]).finally(() => (event.target.value = ""))}
        />
        <Button loading={busy} icon={<FileUp size={16} aria-hidden />} onClick={() => file.current?.click()}>
          {settingsWords.bringEverythingIn}
        </Button>
      </p>
      <div aria-live="polite">
        {told.map((words) => (
          <p key={words} dir="auto">
            {words}
          </p>
        ))}
      </div>
    </>
  );
}
