import type { Port } from "@/core/device";

/** The mouth of each socket in a 30 × 16 field. */
const MOUTHS: Readonly<Record<Port["connector"], string>> = {
  hdmi: "M3 3h24v5l-3.5 5h-17L3 8z M8 7h14",
  optical: "M9 2h12v9l-3 3h-6l-3-3z M13 6h4v3h-4z",
  coaxial: "M9 8a6 6 0 1 0 12 0a6 6 0 1 0-12 0 M13 8a2 2 0 1 0 4 0a2 2 0 1 0-4 0",
  rca: "M3 8a5 5 0 1 0 10 0a5 5 0 1 0-10 0 M7 8h2 M17 8a5 5 0 1 0 10 0a5 5 0 1 0-10 0 M21 8h2",
  minijack: "M10 8a5 5 0 1 0 10 0a5 5 0 1 0-10 0 M15 6.5v3",
  composite: "M10 8a5 5 0 1 0 10 0a5 5 0 1 0-10 0 M13.5 8h3",
  usb: "M5 4h20v8H5z M9 6.5h12",
  bluetooth: "M9 3a9 9 0 0 0 0 10 M12 5a6 6 0 0 0 0 6 M18 5a6 6 0 0 1 0 6 M21 3a9 9 0 0 1 0 10 M14.5 8h1",
};

/** The mouth of a socket as it looks on a back plate. */
export function SocketShape({ connector }: { connector: Port["connector"] }) {
  return (
    <svg width="30" height="16" viewBox="0 0 30 16" aria-hidden="true" fill="none" stroke="currentColor" strokeWidth="1.5">
      <path d={MOUTHS[connector]} />
    </svg>
  );
}
