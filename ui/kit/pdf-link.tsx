"use client";

import { Button } from "antd";
import { kitWords } from "@/ui/words";

interface PdfLinkProps {
  readonly jobId: string;
  readonly print: "map" | "board" | "plans" | "runsheet";
  /** "middle" on pages that are used by touch. */
  readonly size?: "small" | "middle";
}

/** A document of a job as PDF, from the page that shows it. */
export function PdfLink({ jobId, print, size = "small" }: PdfLinkProps) {
  return (
    <Button size={size} href={`/api/jobs/${jobId}/print?as=${print}`} download>
      {kitWords.asPdf}
    </Button>
  );
}
