"use client";

import { Button } from "antd";
import dynamic from "next/dynamic";
import Link from "next/link";
import { useState } from "react";
import type { FirmFaults } from "@/core/diagnose";
import { EffectLine, Sheet, useJob } from "@/ui/job";
import { EmptyPlace, Switcher, useChosen } from "@/ui/kit";
import { useVisit } from "@/ui/visit";
import { handoverWords } from "@/ui/words";
import styles from "./handover.module.css";
import { usePackWhenKept } from "./use-pack-when-kept";
import { RecordView } from "./record-view";
import { SheetView } from "./sheet-view";

// What only some come for is fetched when it is opened.
const EndVisitDialog = dynamic(() => import("./end-visit-dialog").then((module) => module.EndVisitDialog), { ssr: false });
const VisitsView = dynamic(() => import("./visits-view").then((module) => module.VisitsView), { ssr: false });

const VIEWS = [
  { key: "sheet", name: handoverWords.sheet },
  { key: "record", name: handoverWords.record },
  { key: "visits", name: handoverWords.visits },
] as const;

/** The end of a job and its later visits: the page for the household, everything for whoever comes next, and what is due. */
export function HandoverPlace({ firm }: { readonly firm: FirmFaults }) {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const visit = useVisit(id);
  const [view, setView] = useChosen("view");
  const [isEnding, setEnding] = useState(false);
  const packWhenKept = usePackWhenKept(id, visit);
  const shown = VIEWS.find(({ key }) => key === view)?.key ?? "sheet";
  if (job.devices.length === 0)
    return (
      <Sheet margin={null} marginLabel="" foot={<EffectLine />}>
        <EmptyPlace heading={handoverWords.nothingHere} words={handoverWords.nothingHereWords}>
          <Link href="gear">{handoverWords.takeStock}</Link>
        </EmptyPlace>
      </Sheet>
    );
  return (
    <Sheet margin={null} marginLabel="" foot={<EffectLine />}>
      <div className={styles.handover}>
        <header>
          <h2 className="for-ears-only">{handoverWords.handover}</h2>
          <Switcher label={handoverWords.views} choices={VIEWS} chosen={shown} onChoose={setView} />
          <Button type="primary" onClick={() => setEnding(true)}>
            {job.phase === "handover" ? handoverWords.endVisit : handoverWords.handOver}
          </Button>
        </header>
        {shown === "sheet" ? <SheetView jobId={id} job={job} firm={firm} /> : null}
        {shown === "record" ? <RecordView jobId={id} /> : null}
        {shown === "visits" ? <VisitsView job={job} visit={visit} firm={firm} /> : null}
      </div>
      {isEnding ? (
        <EndVisitDialog
          job={job}
          visit={visit}
          onEnded={(handedOver) => {
            setEnding(false);
            if (handedOver) packWhenKept();
          }}
          onClose={() => setEnding(false)}
        />
      ) : null}
    </Sheet>
  );
}
