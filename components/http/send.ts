import { z } from 'zod';

const errorSchema = z.object({
  error: z.object({
    message: z.string(),
    fields: z.array(z.object({ path: z.string(), message: z.string() })),
  }),
});

export interface SendFailure {
  readonly ok: false;
  readonly message: string;
  readonly fields: Readonly<Record<string, string>>;
}

export type SendResult = { readonly ok: true; readonly value: unknown } | SendFailure;

/** Sends a request to this application's own server; every failure comes back as a sentence. */
export async function send(method: 'POST' | 'PUT', path: string, body: unknown): Promise<SendResult> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    const json: unknown = await response.json();
    if (response.ok) return { ok: true, value: json };
    const parsed = errorSchema.safeParse(json);
    if (!parsed.success)
      return { ok: false, message: 'The server answered something unexpected. Nothing was stored.', fields: {} };
    const fields = Object.fromEntries(parsed.data.error.fields.map(({ path: at, message }) => [at, message]));
    return { ok: false, message: parsed.data.error.message, fields };
  } catch {
    return { ok: false, message: 'The server cannot be reached. What you typed is kept here; try again.', fields: {} };
  }
}

export const idReply = z.object({ id: z.string() });

const sampleSchema = z.object({ timeS: z.number(), forceN: z.number() });

/** What the virtual bench answers. */
export const benchReply = z.object({
  instrument: z.string(),
  reading: z.number().nullable(),
  levelBelowRimM: z.number().nullable(),
  samples: z.array(sampleSchema),
  breakPlace: z.enum(['middle', 'grip', 'knot']).nullable(),
  creep: z.enum(['none', 'some', 'much']).nullable(),
});

export type BenchReply = z.output<typeof benchReply>;
