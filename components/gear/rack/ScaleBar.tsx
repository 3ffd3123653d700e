/** What a length comes to at the scale of the drawings beside it. */
export function ScaleBar({ lengthM, pxPerM, words }: { lengthM: number; pxPerM: number; words: string }) {
  const px = lengthM * pxPerM;
  return (
    <p className="figures mt-2 flex items-center gap-2 text-xs text-ink-soft">
      <svg width={px + 2} height={9} aria-hidden className="shrink-0 stroke-ink" strokeWidth={1.5}>
        <path d={`M1 1v7M1 4.5h${px}M${px + 1} 1v7`} fill="none" />
      </svg>
      {words}
    </p>
  );
}
