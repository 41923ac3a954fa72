import Link from "next/link";

export default function NotFound() {
  return (
    <main style={{ padding: "18vh 24px", maxWidth: 560, margin: "0 auto" }}>
      <h1>Nothing stands here</h1>
      <p style={{ margin: "12px 0 20px" }}>This job or page is not there. The job may lie in the bin, or the address may be cut short.</p>
      <Link href="/">Back to the docket</Link>
    </main>
  );
}
