"use client";

import { Button } from "antd";
import { Tags } from "lucide-react";
import dynamic from "next/dynamic";
import { useState } from "react";
import { visitWords } from "@/ui/words";

const LabelsDialog = dynamic(() => import("./labels-dialog").then((module) => module.LabelsDialog), { ssr: false });

/** Opens the choice of a sheet for the labels. */
export function LabelsButton({ jobId }: { jobId: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button icon={<Tags size={18} aria-hidden />} onClick={() => setOpen(true)}>
        {visitWords.labels}
      </Button>
      {open ? <LabelsDialog jobId={jobId} onClose={() => setOpen(false)} /> : null}
    </>
  );
}
