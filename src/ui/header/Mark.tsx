/** The sign of the house: a cane bent twice, bound in the middle. */
export function Mark() {
  return (
    <svg aria-hidden width={24} height={24} viewBox="0 0 24 24" fill="none" strokeLinecap="round">
      <path d="M3 17c4 0 4-8 8-8s4 6 10-2" stroke="var(--mui-palette-tokens-cane)" strokeWidth={4} />
      <path d="M9.6 7.4l1.6 4M12 7l1.6 4" stroke="var(--mui-palette-text-primary)" strokeWidth={1.5} />
    </svg>
  );
}
