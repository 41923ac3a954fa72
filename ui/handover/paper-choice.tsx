"use client";

import type { Paper } from "@/core/drawing";
import { Choice } from "@/ui/kit";
import { handoverWords } from "@/ui/words";

export type { Paper };

/** A4 or Letter. */
export function PaperChoice({ paper, onChoose }: { readonly paper: Paper; readonly onChoose: (paper: Paper) => void }) {
  return (
    <label>
      {handoverWords.paper}
      <Choice<Paper>
        label={handoverWords.paper}
        value={paper}
        options={(["a4", "letter"] as const).map((one) => ({ value: one, label: handoverWords.papers[one] }))}
        onChange={onChoose}
      />
    </label>
  );
}
