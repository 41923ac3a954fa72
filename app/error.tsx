"use client";

export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: "18vh 24px", maxWidth: 560, margin: "0 auto" }}>
      <h1>This page stopped</h1>
      <p style={{ margin: "12px 0 20px" }}>
        What was saved is kept. Load the page again; if it stops again, export the job and start it from the file.
      </p>
      <button type="button" onClick={reset}>
        Load again
      </button>
    </main>
  );
}
