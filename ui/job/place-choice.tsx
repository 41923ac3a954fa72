"use client";

import { usePathname, useRouter } from "next/navigation";
import { Choice } from "@/ui/kit";
import { jobWords } from "@/ui/words";
import styles from "./job-frame.module.css";
import { PLACES } from "./places";

const CHOICES = PLACES.map(({ phase, places }) => ({
  label: phase,
  options: places.map(({ path, name }) => ({ value: path as string, label: name })),
}));

/** The places of a job in one field: on a phone they do not stand side by side. */
export function PlaceChoice({ jobId }: { jobId: string }) {
  const here = usePathname().split("/").at(-1) ?? "";
  const router = useRouter();
  return (
    <Choice
      label={jobWords.placesOfThisJob}
      className={styles.placeChoice ?? ""}
      size="large"
      listHeight={480}
      value={here}
      options={CHOICES}
      onChange={(place: string) => router.push(`/jobs/${jobId}/${place}`)}
    />
  );
}
