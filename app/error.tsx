"use client";

import { pagesWords } from "@/ui/words";

export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: "18vh 24px", maxWidth: 560, margin: "0 auto" }}>
      <h1>{pagesWords.thisPageStopped}</h1>
      <p style={{ margin: "12px 0 20px" }}>{pagesWords.stoppedWords}</p>
      <button type="button" onClick={reset}>
        {pagesWords.loadAgain}
      </button>
    </main>
  );
}
