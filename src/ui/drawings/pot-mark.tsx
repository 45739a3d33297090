/** The mark: a pot in section, half full. */
export function PotMark() {
  return (
    <svg width="30" height="26" viewBox="0 0 30 26" aria-hidden="true">
      <rect x="6" y="12" width="18" height="11" fill="#d9773a" />
      <path
        d="M1 4h5v17a3 3 0 0 0 3 3h12a3 3 0 0 0 3-3V4h5"
        fill="none"
        stroke="currentColor"
        strokeWidth="3"
        strokeLinejoin="round"
      />
    </svg>
  );
}
