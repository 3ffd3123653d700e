/** What was done on a rig. */
export interface ActRecord {
  readonly id: string;
  /** Counts the acts in the order in which they were done. */
  readonly number: number;
  /** The request's name. */
  readonly request: string;
  /** What was asked for. */
  readonly asked: Readonly<Record<string, unknown>>;
  readonly person: string | null;
  /** The act that undid it; null while it stands. */
  readonly undoneBy: string | null;
  readonly at: string;
}
