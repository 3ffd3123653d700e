/** The product's mark: a folding rule bent into the sickle of a bill and a back. */
export function Mark() {
  return (
    <svg viewBox="0 0 40 24" className="h-6 w-10" aria-hidden focusable="false">
      <path
        d="M1 15 L17 12 C22 6 30 5 39 9 C32 10 30 13 29 19 C26 15 22 14 17 15 Z"
        className="fill-rule stroke-ink"
        strokeWidth="1.3"
        strokeLinejoin="round"
      />
      {[5, 9, 13].map((x) => (
        <path key={x} d={`M${x} ${14.4 - x * 0.17} v2.2`} className="stroke-ink" strokeWidth="1.1" />
      ))}
    </svg>
  );
}
