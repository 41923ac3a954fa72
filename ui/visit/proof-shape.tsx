import type { ProofState } from "@/core/proof";
import styles from "./prove.module.css";

/** The shape of how a check came out; always beside its word. */
export function ProofShape({ state }: { state: ProofState }) {
  return (
    <svg className={styles[state]} width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
      <rect x="1.5" y="1.5" width="13" height="13" rx="3" fill="none" stroke="currentColor" strokeWidth="1.6" />
      {state === "proven" ? <path d="M4 8.4 7 11.4 12.2 4.8" fill="none" stroke="currentColor" strokeWidth="2" /> : null}
      {state === "otherwise" ? <path d="M4.4 6h7.2M4.4 10h7.2M10 3.6 6 12.4" fill="none" stroke="currentColor" strokeWidth="1.8" /> : null}
      {state === "put-off" ? <path d="M4.2 8h7.6" fill="none" stroke="currentColor" strokeWidth="2" /> : null}
    </svg>
  );
}
