'use client';

import { useEffect, useMemo, useRef } from 'react';
import {
  useForm,
  useWatch,
  type Control,
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
} from 'react-hook-form';
import { useSayIfGiven } from '@/components/units/useSay';
import { keepDraft, readDraft } from './draftStore';
import type { Specs } from './specs';

export type RawOf<S extends Specs> = { [K in keyof S]: S[K]['fresh'] };
export type ValuesOf<S extends Specs> = {
  [K in keyof S]: S[K] extends { read(raw: never): infer R }
    ? Extract<R, { readonly ok: true }> extends { readonly value: infer V }
      ? V
      : never
    : never;
};

/** A form whose every field is kept over a reload, and that saves nothing while one of them cannot be read. */
export interface DraftForm<S extends Specs> {
  readonly specs: S;
  readonly control: Control<FieldValues>;
  /** What a field says now, or null while it cannot be read. */
  value<K extends keyof S & string>(name: K): ValuesOf<S>[K] | null;
  /** What stands in a field, as it was typed. */
  raw<K extends keyof S & string>(name: K): RawOf<S>[K];
  set<K extends keyof S & string>(name: K, raw: RawOf<S>[K]): void;
  /**
   * Reads every field. Where one cannot be read it says so, takes the focus, and nothing is saved; else `save` is called with
   * the values. A refusal's fields are shown at theirs; when it was saved, the draft is forgotten.
   *
   * @param at the form's field for a path of the request, where their names differ
   * @param hidden fields that do not show now: what was typed into them is not read, what stood there at first is their value
   */
  submit(
    save: (
      values: ValuesOf<S>,
    ) => Promise<{ readonly ok: boolean; readonly fields?: Readonly<Record<string, string>> }>,
    at?: Readonly<Record<string, keyof S & string>>,
    hidden?: readonly (keyof S & string)[],
  ): Promise<void>;
  /** Puts everything back to what stood there at first. */
  forget(): void;
}

const isSame = (raw: unknown, other: unknown): boolean => JSON.stringify(raw) === JSON.stringify(other);

type Raws = Readonly<Record<string, unknown>>;

const typedInto = (values: Raws, fresh: Raws): Raws =>
  Object.fromEntries(
    Object.keys(fresh).flatMap((name) => (isSame(values[name], fresh[name]) ? [] : [[name, values[name]]])),
  );

const differs = (values: Raws, fresh: Raws): boolean => Object.keys(typedInto(values, fresh)).length > 0;

/**
 * @param key where the draft is kept in this browser
 * @param specs the fields; what stands in them at first stays until `key` or `freshFor` changes
 * @param freshFor what the values that stand there at first follow, such as the row that was stored last. When it changes, a form
 *   that nobody has touched shows the new ones; one that has been begun keeps all that stands in it
 * @param untouched what fields do that nobody has touched, in a form that has been begun. A form that changes one row lets them
 *   `follow` the row, so that it never puts back what another device has stored meanwhile
 */
export function useDraftForm<S extends Specs>(
  key: string,
  specs: S,
  freshFor = '',
  untouched: 'stay' | 'follow' = 'stay',
): DraftForm<S> {
  const say = useSayIfGiven();
  const kinds = JSON.stringify(Object.entries(specs).map(([name, { kind }]) => [name, kind]));
  const fresh = useMemo(
    () => Object.fromEntries(Object.entries(specs).map(([name, spec]) => [name, spec.fresh as unknown])),
    // What stands there at first belongs to the thing that is edited, which its key names.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, kinds, freshFor],
  );
  // What was said of a field is gone as soon as it is typed into again.
  const form = useForm<FieldValues>({ defaultValues: fresh as DefaultValues<FieldValues>, mode: 'onChange' });
  const { reset, getValues, setValue, setError, setFocus, clearErrors, control } = form;
  const typed = useWatch({ control }) as Raws;
  const latest = useRef(specs);
  const readFor = useRef<{ readonly key: string; readonly fresh: Raws } | null>(null);
  useEffect(() => {
    latest.current = specs;
  });
  useEffect(() => {
    const before = readFor.current;
    readFor.current = { key, fresh };
    if (before?.key === key && differs(getValues(), before.fresh)) {
      if (untouched === 'follow') reset({ ...fresh, ...typedInto(getValues(), before.fresh) });
      // The next reading may be begun before the page has heard of the one just stored: it is not swept away, nor moved.
      return;
    }
    // Storage is the browser's: the first drawing is the server's, and knows of no draft.
    reset({ ...fresh, ...readDraft(key, latest.current) });
  }, [key, fresh, untouched, reset, getValues]);
  useEffect(() => {
    // Before a draft was read, what stands here is no reason to forget it.
    if (readFor.current?.fresh === fresh) keepDraft(key, getValues(), fresh);
  }, [key, typed, fresh, getValues]);
  const read = (name: string, raw: unknown) => specs[name]?.read(raw as never);
  return {
    specs,
    control: control as Control<FieldValues>,
    value(name) {
      const outcome = read(name, typed[name] ?? fresh[name]);
      return outcome?.ok ? (outcome.value as never) : null;
    },
    raw: (name) => (typed[name] ?? fresh[name]) as never,
    set: (name, raw) =>
      setValue(name as Path<FieldValues>, raw as PathValue<FieldValues, string>, { shouldDirty: true }),
    async submit(save, at = {}, hidden = []) {
      clearErrors();
      const values: Record<string, unknown> = {};
      let first: string | null = null;
      for (const name of Object.keys(specs)) {
        const isHidden = hidden.includes(name);
        const outcome = read(name, isHidden ? fresh[name] : getValues(name));
        if (outcome?.ok) values[name] = outcome.value;
        // What does not show cannot be mended: it has no value, and stops nobody.
        else if (outcome && !isHidden) {
          setError(name, { type: 'unread', message: say?.(outcome) ?? 'This cannot be read.' });
          first ??= name;
        }
      }
      if (first !== null) return setFocus(first);
      const sent = { ...getValues() };
      const result = await save(values as ValuesOf<S>);
      if (result.ok) {
        // What was typed while it was on its way belongs to the next one.
        const since = Object.entries(getValues()).filter(([name, raw]) => !isSame(raw, sent[name]));
        keepDraft(key, null, fresh);
        reset({ ...fresh, ...Object.fromEntries(since) });
        return;
      }
      const refused = Object.entries(result.fields ?? {}).flatMap(([path, message]) => {
        const name = at[path] ?? at[path.split('.').at(-1) ?? ''] ?? path.split('.').at(-1) ?? path;
        return name in specs ? [[name, message] as const] : [];
      });
      for (const [name, message] of refused) setError(name, { type: 'refused', message });
      const [firstRefused] = refused;
      if (firstRefused) setFocus(firstRefused[0]);
    },
    forget() {
      keepDraft(key, null, fresh);
      reset(fresh);
    },
  };
}
