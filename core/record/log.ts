import type { LogKind, Reason } from '../reasons';

export interface LogRecord {
  readonly id: string;
  readonly topic: string;
  /** What happened; worded by the dictionary. */
  readonly entry: Reason<LogKind>;
  readonly person: string | null;
  readonly at: string;
}
