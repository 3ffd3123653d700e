import type { Queryable } from '../withBoat';

/**
 * One column: how a value is read and checked, and whether the database gives it by itself. The column's name follows from
 * the record's (`trueLengthM` is `true_length_m`) unless it is named.
 */
export interface Column<T> {
  readonly read: (value: unknown) => T;
  readonly column?: string;
  readonly isGiven?: true;
  readonly isJson?: true;
}

type Columns = Readonly<Record<string, Column<unknown>>>;

/** What is read of a row. */
export type RowOf<C extends Columns> = { readonly [K in keyof C]: C[K] extends Column<infer T> ? T : never };

/** What is written of a row: all but what the database gives by itself. */
export type NewRowOf<C extends Columns> = {
  readonly [K in keyof C as C[K] extends { readonly isGiven: true } ? never : K]: C[K] extends Column<infer T>
    ? T
    : never;
};

/** A table declared once: its columns give the row's type, the lists of its statements, and what a withdrawal repeats. */
export interface Table<C extends Columns> {
  readonly name: string;
  readonly columns: C;
  /** The columns as a SELECT lists them. */
  readonly list: string;
  /** The same, each with its table's name before it, for a join. */
  readonly fullList: string;
  /** The columns that a person's note fills, as an INSERT or a withdrawal lists them. */
  readonly written: readonly string[];
  /** A row as it came from the database, checked. */
  read(row: Readonly<Record<string, unknown>>): RowOf<C>;
  /** The values of a new row in the order of `written`. */
  values(row: NewRowOf<C>): readonly unknown[];
}

/** `trueLengthM` → `true_length_m`, `speedMS` → `speed_m_s`. */
export function columnName(key: string): string {
  return key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}

/** Declares a table of measurements, or of anything else that rows are only added to. */
export function table<const C extends Columns>(name: string, columns: C): Table<C> {
  const entries = Object.entries(columns).map(([key, column]) => ({
    key,
    ...column,
    name: column.column ?? columnName(key),
  }));
  const own = entries.filter(({ isGiven }) => !isGiven);
  return {
    name,
    columns,
    list: entries.map((each) => each.name).join(', '),
    fullList: entries.map((each) => `${name}.${each.name}`).join(', '),
    written: own.map((each) => each.name),
    read(row) {
      return Object.fromEntries(
        entries.map(({ key, name: column, read }) => {
          try {
            return [key, read(row[column])];
          } catch (error) {
            throw new TypeError(`${name}.${column}: ${error instanceof Error ? error.message : String(error)}`);
          }
        }),
      ) as RowOf<C>;
    },
    values: (row) =>
      own.map(({ key, isJson }) => {
        const value = (row as Readonly<Record<string, unknown>>)[key];
        if (value === undefined) throw new TypeError(`${name}: a new row needs ${key}`);
        return isJson && value !== null ? JSON.stringify(value) : value;
      }),
  };
}

/**
 * Adds a row and gives its id, where it has one of its own.
 *
 * @param corrects the row that it corrects: its id, or SQL over $1 (the boat) and the row's own values that finds it
 */
export async function insertRow<C extends Columns>(
  db: Queryable,
  boatId: string,
  { name, columns, written, values }: Table<C>,
  row: NewRowOf<C>,
  corrects?: { readonly id: string | null } | { readonly sql: string },
): Promise<string> {
  const places = written.map((_, index) => `$${index + 2}`);
  const given = [boatId, ...values(row)];
  const found = corrects && ('sql' in corrects ? corrects.sql : `$${given.push(corrects.id)}`);
  const result = await db.query<{ id: string }>(
    `INSERT INTO ${name} (boat_id, ${written.join(', ')}${found ? ', corrects_id' : ''})
     VALUES ($1, ${places.join(', ')}${found ? `, ${found}` : ''})${columns.id ? ' RETURNING id' : ''}`,
    given,
  );
  return result.rows[0]?.id ?? '';
}

const reader = <T>(what: string, is: (value: unknown) => value is T): Column<T> => ({
  read(value) {
    if (!is(value)) throw new TypeError(`${JSON.stringify(value)} is not ${what}`);
    return value;
  },
});

const isText = (value: unknown): value is string => typeof value === 'string';

/** A number; PostgreSQL's double precision and integers. */
export const number = reader('a number', (value): value is number => typeof value === 'number' && !Number.isNaN(value));
export const text = reader('text', isText);
export const flag = reader('true or false', (value): value is boolean => typeof value === 'boolean');
export const texts = reader(
  'a list of texts',
  (value): value is readonly string[] => Array.isArray(value) && value.every(isText),
);

/** The row's own id, which the database makes. */
export const ownId = { ...text, isGiven: true as const, column: 'id' };
/** When it was noted, by the database's clock. */
export const notedAt = { ...text, isGiven: true as const, column: 'noted_at' };

/** One of a few words; the database's CHECK holds the same. */
export const oneOf = <const W extends string>(...words: readonly W[]): Column<W> =>
  reader(
    `one of ${words.join(', ')}`,
    (value): value is W => isText(value) && (words as readonly string[]).includes(value),
  );

/** A value, or null. */
export const maybe = <T>(column: Column<T>): Column<T | null> => ({
  ...column,
  read: (value) => (value === null ? null : column.read(value)),
});

/** A column whose name does not follow from the record's. */
export const named = <C extends Column<unknown>>(column: string, of: C): C => ({ ...of, column });

/** A JSON column of a shape that only this program writes. */
export const json = <T extends object>(): Column<T> => ({
  ...reader<T>('an object', (value): value is T => typeof value === 'object' && value !== null),
  isJson: true,
});
