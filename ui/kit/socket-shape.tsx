import type { Port } from "@/core/device";

/** The mouth of a socket as it looks on a back plate. */
export function SocketShape({ connector }: { connector: Port["connector"] }) {
  return (
    <svg width="30" height="16" viewBox="0 0 30 16" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth="1.5">
      {connector === "hdmi" ? <path d="M3 3h24v5l-3.5 5h-17L3 8z M8 7h14" /> : <path d="M9 2h12v9l-3 3h-6l-3-3z M13 6h4v3h-4z" />}
    </svg>
  );
}
