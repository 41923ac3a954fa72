import type { Arrival } from "@/core/chain";
import type { PaperArrival, PaperStream } from "./arrival";

/** A row of the engine in the words of paper. */
export function asOnPaper({ soundVerdict, arrives }: Arrival): PaperArrival {
  const isHeard = soundVerdict === "full" || soundVerdict === "reduced";
  return {
    verdict: isHeard ? soundVerdict : "silent",
    arrives: arrives && {
      coding: arrives.coding as PaperStream["coding"],
      channels: arrives.channels as PaperStream["channels"],
      objects: arrives.objects !== "none",
      lossless: arrives.lossless,
      codings: arrives.generations,
    },
  };
}
