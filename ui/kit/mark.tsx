/** The mark of the application: eight strings, one of which ends in the ring of a loss. Decoration beside its name. */
export function Mark({ size = 24 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="3 3.5 26 25" aria-hidden focusable="false">
      <g fill="none" stroke="var(--brass)" strokeWidth="1.4" strokeLinecap="round">
        <path d="M5 5.5h22M5 8.5h22M5 11.2h22M5 14.5h9.6M5 17.8h22M5 20.5h22M5 23.5h22M5 26.5h22" />
        <circle cx="17" cy="14.5" r="2.3" />
      </g>
    </svg>
  );
}
