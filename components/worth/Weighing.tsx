/** Stands where what to measure next will stand. */
export const Weighing = () => <p className="mt-2 min-h-11 text-sm text-ink-soft">Weighing what to measure next …</p>;
