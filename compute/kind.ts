import type { z } from 'zod';
import type { Reason } from '../core/reasons';
import { wordsOf } from '../words';
import { formatterFor } from '../words/format';

export interface FieldError {
  /** Where in the request, such as `segments[1].lengthM`. */
  readonly path: string;
  readonly message: string;
}

export type ComputeResult =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly fields: readonly FieldError[] };

/** One kind of computation that the shell can ask for. */
export interface ComputeKind {
  readonly name: string;
  readonly summary: string;
  readonly schema: z.ZodType;
  readonly example: unknown;
  run(request: unknown): ComputeResult;
}

/** Says a reason in SI: metres, millimetres and newtons. */
export function inSi(reason: Reason): string {
  return wordsOf(reason, formatterFor({ length: 'm', smallLength: 'mm', force: 'N' }));
}

/** Text form of a path: `segments[1].lengthM`. */
export function pathText(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, part) =>
      typeof part === 'number' ? `${text}[${part}]` : text === '' ? String(part) : `${text}.${String(part)}`,
    '',
  );
}

/** Makes a kind from a schema and a computation on what the schema lets through. */
export function defineKind<S extends z.ZodType>(parts: {
  readonly name: string;
  readonly summary: string;
  readonly schema: S;
  readonly example: z.input<S>;
  readonly compute: (request: z.output<S>) => ComputeResult;
}): ComputeKind {
  return {
    name: parts.name,
    summary: parts.summary,
    schema: parts.schema,
    example: parts.example,
    run(request) {
      const parsed = parts.schema.safeParse(request);
      if (parsed.success) return parts.compute(parsed.data);
      const fields = parsed.error.issues.map((issue) => ({ path: pathText(issue.path), message: issue.message }));
      return { ok: false, fields };
    },
  };
}
