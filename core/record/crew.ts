/** One of a boat's crew. */
export interface PersonRecord {
  readonly id: string;
  readonly name: string;
  /** The hand that the person works with. */
  readonly hand: 'left' | 'right';
  /** When the name was put away; null: it is offered to note by. */
  readonly archivedAt: string | null;
}
