'use client';

import { createContext, use, useMemo, useState, type ReactNode } from 'react';
import type { RigRecord } from '@/core/record/record';
import { atBench } from '@/core/rig/line/atBench';
import { rigView, type RigView } from '@/core/rig/view/rigView';
import type { Station } from '@/core/record/stations';
import { stationStates } from '@/core/rig/stationStates';
import type { StationState } from '@/core/record/stationState';
import { useFollow } from '@/components/shell/useFollow';
import { CursorProvider } from '@/components/line/cursor';
import { WordsProvider } from '@/components/units/WordsProvider';

interface Rig {
  readonly record: RigRecord;
  /** Null while there is no line to draw. */
  readonly view: RigView | null;
  readonly states: Readonly<Record<Station, StationState>>;
  /** A line that is being planned and drawn instead of the stored one, or null. */
  setDraftRecord(record: RigRecord | null): void;
  /** Where the line is about to be cut, from the hook (m), for the ribbon to show; null while it is not. */
  readonly cutM: number | null;
  setCutM(cutM: number | null): void;
}

const RigContext = createContext<Rig | null>(null);

export function RigProvider({ record, children }: { record: RigRecord; children: ReactNode }) {
  useFollow(record.boat.id, record.id);
  const [draftRecord, setDraftRecord] = useState<RigRecord | null>(null);
  const [cutM, setCutM] = useState<number | null>(null);
  const shown = draftRecord ?? record;
  const view = useMemo(() => rigView(shown), [shown]);
  const states = useMemo(() => stationStates(record), [record]);
  const value = useMemo(() => ({ record, view, states, setDraftRecord, cutM, setCutM }), [record, view, states, cutM]);
  return (
    <RigContext value={value}>
      <WordsProvider>
        <CursorProvider>{children}</CursorProvider>
      </WordsProvider>
    </RigContext>
  );
}

/** What is inside sees the rig as the winding bench does: with the load that is being made. */
export function AtBench({ children }: { children: ReactNode }) {
  const rig = useRig();
  const record = atBench(rig.record);
  const view = useMemo(() => (record === rig.record ? rig.view : rigView(record)), [record, rig]);
  const value = useMemo(() => ({ ...rig, record, view }), [rig, record, view]);
  return <RigContext value={value}>{children}</RigContext>;
}

/** The rig of this page and its derived view. */
export function useRig(): Rig {
  const rig = use(RigContext);
  if (!rig) throw new Error('useRig: there is no RigProvider above');
  return rig;
}
