import Link from "next/link";
import { pagesWords } from "@/ui/words";

export default function NotFound() {
  return (
    <main style={{ padding: "18vh 24px", maxWidth: 560, margin: "0 auto" }}>
      <h1>{pagesWords.nothingStandsHere}</h1>
      <p style={{ margin: "12px 0 20px" }}>{pagesWords.notFoundWords}</p>
      <Link href="/">{pagesWords.backToTheDocket}</Link>
    </main>
  );
}
