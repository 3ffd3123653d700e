'use client';

import { useMemo, useState } from 'react';
import type { LoadRecord, LoadSegmentRecord } from '@/core/rig/record';
import { windingOutlook, type RemainingSegment, type WindingOutlook } from '@/core/rig/windingOutlook';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';

export interface Winding {
  /** The segment that goes on now, as planned and as it now has to be; null when all is on. */
  readonly next: { readonly segment: LoadSegmentRecord; readonly now: RemainingSegment } | null;
  readonly outlook: WindingOutlook | null;
  readonly path: string;
  readonly busy: boolean;
  readonly text: string;
  readonly reading: number | null;
  readonly problem: string | undefined;
  /** True where a known length ended earlier or later than it was known to. */
  readonly endedElsewhere: boolean;
  readonly canNote: boolean;
  type(text: string): void;
  nudge(counts: number): void;
  setEndedElsewhere(now: boolean): void;
  note(): Promise<void>;
  undo(): Promise<void>;
  windVirtually(): Promise<void>;
}

/** Everything that winding the next segment needs, for the panel and for bench mode alike. */
export function useWinding(load: LoadRecord): Winding {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const [instrument, setInstrument] = useState('read by eye');
  const [endedElsewhere, setEndedElsewhere] = useState(false);
  const outlook = useMemo(() => windingOutlook(record), [record]);
  const segment = load.segments.find(
    (candidate) => candidate.wound && !load.winding.some((entry) => entry.segmentId === candidate.segmentId),
  );
  const now = outlook?.remaining.find((candidate) => candidate.segmentId === segment?.segmentId);
  const [typed, setTyped] = useDraft(`winding:${load.id}:${segment?.segmentId ?? 'all'}`, isText);
  const path = `/api/boats/${record.boat.id}/rigs/${record.id}/loads/${load.id}`;
  const { counter } = record.reel;
  const text = typed ?? '';
  const reading = /^\d+$/.test(text.trim()) ? Number(text) : null;
  const unreadable = text.trim() !== '' && reading === null ? 'A counter shows whole numbers only.' : undefined;
  const last = load.winding.at(-1);

  const send = async (value: number | null, by: string): Promise<void> => {
    const body = {
      segmentId: segment?.segmentId,
      reading: value,
      lengthByCounter: endedElsewhere,
      instrument: by,
      note: '',
    };
    const result = await sendNow('POST', `${path}/winding`, body);
    if (!result.ok) return;
    setTyped(null);
    setInstrument('read by eye');
    setEndedElsewhere(false);
  };
  return {
    next: segment && now ? { segment, now } : null,
    outlook,
    path,
    busy: state.kind === 'sending' || bench.busy,
    text,
    reading,
    problem: unreadable ?? fieldError('reading'),
    endedElsewhere,
    canNote: !(counter !== null && reading === null),
    type: (value) => {
      setTyped(value);
      setInstrument('read by eye');
    },
    nudge: (counts) => {
      const wrap = 10 ** (counter?.digits ?? 3);
      const from = reading ?? now?.stopReading ?? 0;
      setTyped(String((from + counts + wrap) % wrap));
    },
    setEndedElsewhere,
    note: () => send(counter ? reading : null, instrument),
    undo: async () => {
      if (!last) return;
      const body = { kind: 'winding', id: last.id, rigId: record.id, reason: 'undone at the bench' };
      await sendNow('POST', `/api/boats/${record.boat.id}/withdrawals`, body, 'The last note is taken back.');
    },
    windVirtually: async () => {
      if (!segment) return;
      const shown = await bench.work({ act: 'wind', segmentId: segment.segmentId });
      if (!shown) return;
      if (shown.reading === null) return send(null, shown.instrument);
      setTyped(String(shown.reading));
      setInstrument(shown.instrument);
    },
  };
}
