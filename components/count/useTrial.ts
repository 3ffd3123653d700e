'use client';

import type { LoadRecord, RigRecord } from '@/core/record/record';
import { USUAL_WALK_M } from '@/core/rig/count/adviceForRig';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { useQuantity } from '@/components/fields/QuantityField';
import { isText, useDraft } from '@/components/fields/useDraft';
import type { RequestInput } from '@/usecases/requests/schemas';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { LIMITS } from '@/usecases/limits';

/** A test of the counter without what is common to all: the load, the reading, the instrument. */
export type WhatWasTried =
  RequestInput<'recordTrial'> extends infer T
    ? T extends unknown
      ? Omit<T, 'loadId' | 'reading' | 'instrument'>
      : never
    : never;

/** What a test of the counter is made by. */
export type TrialWay = 'tape' | 'colour' | 'turns';

/** The test that was noted last, counting or asked about. */
export function lastTrial({ trials, openTrials }: Pick<RigRecord, 'trials' | 'openTrials'>) {
  return [...trials, ...openTrials].toSorted((a, b) => (a.at < b.at ? -1 : 1)).at(-1);
}

/** Everything that a walk along the tape needs, for the form and for bench mode alike. */
export function useTrial(load: LoadRecord) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const length = useQuantity(`walk:${load.id}`, 'length', USUAL_WALK_M, LIMITS.walkLengthM);
  const [text, setText] = useDraft(`walk-reading:${load.id}`, isText);
  const typed = (text ?? '').trim();
  const { instrument, readBy, forget } = useInstrument(`walk-reading:${load.id}`, typed);
  const reading = /^\d+$/.test(typed) ? Number(typed) : null;
  const storeTrial = async (what: WhatWasTried) => {
    const body = { loadId: load.id, reading, instrument, ...what };
    const result = await sendNow('recordTrial', { boatId: record.boat.id, rigId: record.id }, body, 'Recorded.');
    if (result.ok) {
      setText(null);
      forget();
    }
    return result;
  };
  return {
    length,
    reading,
    text: typed,
    busy: state.kind === 'sending' || bench.busy,
    problem: typed !== '' && reading === null ? 'A counter shows whole numbers only.' : fieldError('reading'),
    fieldError,
    type: setText,
    store: storeTrial,
    storeWalk: async (): Promise<boolean> => (await storeTrial({ kind: 'tape', trueLengthM: length.value })).ok,
    async undo(): Promise<void> {
      const last = lastTrial(record);
      if (!last) return;
      const body = { kind: 'trial' as const, id: last.id, rigId: record.id, reason: 'undone at the tape' };
      await sendNow('withdraw', { boatId: record.boat.id }, body, 'Taken back.');
    },
    /** Walks with the virtual reel; its reading stands in the field. */
    async walkVirtually(): Promise<void> {
      if (length.value === null) return;
      const shown = await bench.work({ act: 'walk', lengthM: length.value });
      if (shown?.reading == null) return;
      setText(String(shown.reading));
      readBy(shown.instrument, String(shown.reading));
    },
  };
}

export type Trial = ReturnType<typeof useTrial>;
