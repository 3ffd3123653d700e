'use client';

import { createContext, use, useCallback, useMemo, useState, type ReactNode } from 'react';
import type { RigRecord } from '@/core/record/record';
import { atBench } from '@/core/rig/line/atBench';
import { rigView, viewFrom, type RigView, type ViewFound } from '@/core/rig/view/rigView';
import type { Station } from '@/core/record/stations';
import type { StationState } from '@/core/record/stationState';
import { useFollow } from '@/components/shell/useFollow';
import { CursorProvider } from '@/components/line/cursor';
import type { LineEditor } from '@/components/line/lineEditor';
import { WordsProvider } from '@/components/units/WordsProvider';

interface Rig {
  readonly record: RigRecord;
  /** Null while there is no line to draw. */
  readonly view: RigView | null;
  readonly states: Readonly<Record<Station, StationState>>;
  /** What a hand on the ribbon can do to the line that is drawn; null: it is looked at. */
  readonly editor: LineEditor | null;
  /** A line that is being planned and drawn instead of the stored one, and what can be done to it on the ribbon; or null. */
  setDraftRecord(record: RigRecord | null, editor: LineEditor | null): void;
  /** Where the line is about to be cut, from the hook (m), for the ribbon to show; null while it is not. */
  readonly cutM: number | null;
  setCutM(cutM: number | null): void;
}

const RigContext = createContext<Rig | null>(null);

const NO_DRAFT = { record: null, editor: null } as const;

interface Props {
  readonly record: RigRecord;
  /** What the server found for this record, so that a phone need not find it anew; null where there is no line to draw. */
  readonly found: ViewFound | null;
  readonly states: Readonly<Record<Station, StationState>>;
  readonly children: ReactNode;
}

export function RigProvider({ record, found, states, children }: Props) {
  useFollow(record.boat.id, record.id);
  const [draft, setDraft] = useState<{ record: RigRecord | null; editor: LineEditor | null }>(NO_DRAFT);
  const setDraftRecord = useCallback(
    (planned: RigRecord | null, editor: LineEditor | null) =>
      setDraft(planned ? { record: planned, editor } : NO_DRAFT),
    [],
  );
  const [cutM, setCutM] = useState<number | null>(null);
  const stored = useMemo(() => found && viewFrom(record, found), [record, found]);
  const planned = useMemo(() => draft.record && rigView(draft.record), [draft.record]);
  const view = draft.record ? planned : stored;
  const value = useMemo(
    () => ({ record, view, states, editor: draft.editor, setDraftRecord, cutM, setCutM }),
    [record, view, states, draft.editor, setDraftRecord, cutM],
  );
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
