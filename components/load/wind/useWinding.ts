'use client';

import { useMemo } from 'react';
import type { LengthIs, LoadRecord, LoadSegmentRecord } from '@/core/record/record';
import { askedLength, type AskedLength } from '@/core/rig/line/askedLength';
import { windingOutlook, type RemainingSegment, type WindingOutlook } from '@/core/rig/line/windingOutlook';
import type { ColourCheck } from '@/core/rig/line/colourChecks';
import { woundSoFar, type WoundSoFar } from '@/core/rig/line/woundSoFar';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { useQuantity } from '@/components/fields/QuantityField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { LIMITS } from '@/usecases/limits';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';

export interface Winding {
  /** The segment that goes on now, as planned and as it now has to be; null when all is on. */
  readonly next: { readonly segment: LoadSegmentRecord; readonly now: RemainingSegment } | null;
  readonly outlook: WindingOutlook | null;
  readonly busy: boolean;
  readonly text: string;
  readonly reading: number | null;
  readonly problem: string | undefined;
  /** A length that was typed against the one that the reading says: answered before anything is noted; null while nothing is asked. */
  readonly asked: AskedLength | null;
  /** An end that another device has noted at another reading than the one that was typed here; null while there is none. */
  readonly clash: { readonly segment: string; readonly there: number; readonly here: number } | null;
  readonly canNote: boolean;
  /** Colour changes of the segment that goes on now. */
  readonly colours: readonly ColourCheck[];
  /** How much of the segment is on by the reading that stands in the field. */
  readonly soFar: WoundSoFar | null;
  readonly metered: Measured;
  /** How often the counter has passed zero, where somebody says so; null: as planned. */
  readonly laps: { readonly said: number | null; say(laps: number | null): void };
  readonly turns: { readonly text: string; readonly value: number | null; type(text: string): void };
  noteColour(): Promise<void>;
  type(text: string): void;
  nudge(counts: number): void;
  /** Notes the end of the segment; where its length is asked about, with the answer. */
  note(lengthIs?: LengthIs): Promise<void>;
  /** Settles a clash: the reading of this device is right, or the other one is. */
  settle(right: 'here' | 'there'): Promise<void>;
  /** Agrees to the change of a typed length that is offered. */
  agree(): Promise<void>;
  undo(): Promise<void>;
  windVirtually(): Promise<void>;
  windVirtuallyToColour(): Promise<void>;
}

type Measured = ReturnType<typeof useQuantity>;

/** Everything that winding the next segment needs, for the panel and for bench mode alike. */
export function useWinding(load: LoadRecord): Winding {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const outlook = useMemo(() => windingOutlook(record), [record]);
  const segment = load.segments.find(
    (candidate) => candidate.wound && !load.winding.some((entry) => entry.segmentId === candidate.segmentId),
  );
  const now = outlook?.remaining.find((candidate) => candidate.segmentId === segment?.segmentId);
  const metered = useQuantity(
    `metered:${load.id}:${segment?.segmentId ?? 'all'}`,
    'length',
    null,
    LIMITS.segmentLengthM,
  );
  const [turnsText, setTurnsText] = useDraft(`turns:${load.id}:${segment?.segmentId ?? 'all'}`, isText);
  const turnsCounted = positiveNumber(turnsText ?? '');
  const colours = segment && outlook ? (outlook.colours[segment.segmentId] ?? []) : [];
  const [typed, setTyped] = useDraft(`winding:${load.id}:${segment?.segmentId ?? 'all'}`, isText);
  const { counter } = record.reel;
  const text = typed ?? '';
  const { instrument, readBy, forget } = useInstrument(`winding:${load.id}`, text);
  const reading = /^\d+$/.test(text.trim()) ? Number(text) : null;
  const unreadable = text.trim() !== '' && reading === null ? 'A counter shows whole numbers only.' : undefined;
  const last = load.winding.at(-1);
  const [leftOver, setLeftOver] = useDraft(`winding:${load.id}:${last?.segmentId ?? 'none'}`, isText);
  const here = /^\d+$/.test((leftOver ?? '').trim()) ? Number(leftOver) : null;
  const clash =
    last?.reading != null && here !== null && here !== last.reading
      ? {
          segment: load.segments.find((each) => each.segmentId === last.segmentId)?.name ?? '',
          there: last.reading,
          here,
        }
      : null;

  const [lapsSaid, setLaps] = useDraft(`laps:${load.id}:${segment?.segmentId ?? 'all'}`, isText);
  const laps = lapsSaid !== null && /^\d+$/.test(lapsSaid) ? Number(lapsSaid) : null;
  const read = { reading, laps, turnsCounted, meteredLengthM: metered.value, lengthIs: 'plan' as const };
  const asked = segment && outlook ? askedLength(record, outlook, segment, read) : null;
  const send = async (value: number | null, by: string, lengthIs: LengthIs = 'plan'): Promise<void> => {
    if (!segment) return;
    const body = {
      segmentId: segment.segmentId,
      reading: value,
      laps,
      lengthIs,
      meteredLengthM: metered.value,
      turnsCounted,
      instrument: by,
      note: '',
    };
    const result = await sendNow('noteWinding', { boatId: record.boat.id, rigId: record.id, loadId: load.id }, body);
    if (!result.ok) return;
    setTyped(null);
    metered.forget();
    setTurnsText(null);
    setLaps(null);
    forget();
  };
  const nextColour = colours.find((colour) => colour.readReading === null);
  return {
    next: segment && now ? { segment, now } : null,
    outlook,
    busy: state.kind === 'sending' || bench.busy,
    text,
    reading,
    problem: unreadable ?? fieldError('reading'),
    asked,
    clash,
    // What was typed and cannot be read is never dropped: nothing is noted until it can.
    canNote:
      !(counter !== null && reading === null) &&
      metered.readable &&
      ((turnsText ?? '').trim() === '' || turnsCounted !== null),
    colours,
    soFar: useMemo(() => {
      // Past zero or not is for a person to say: until then the reading stands for several lengths.
      const isOpen = laps === null && (now?.stopLaps ?? 0) > 0;
      return segment && outlook && reading !== null && !isOpen
        ? woundSoFar(record, outlook.line, segment, reading, laps ?? 0)
        : null;
    }, [record, outlook, segment, reading, laps, now]),
    metered,
    laps: { said: laps, say: (value: number | null) => setLaps(value === null ? null : String(value)) },
    turns: { text: turnsText ?? '', value: turnsCounted, type: setTurnsText },
    noteColour: async () => {
      if (!segment || !nextColour || reading === null) return;
      const body = { segmentId: segment.segmentId, coloursOn: nextColour.coloursOn, reading, instrument };
      const result = await sendNow('noteColour', { boatId: record.boat.id, rigId: record.id, loadId: load.id }, body);
      if (result.ok) setTyped(null);
    },
    type: setTyped,
    nudge: (counts) => {
      const wrap = 10 ** (counter?.digits ?? 3);
      const from = reading ?? now?.stopReading ?? 0;
      setTyped(String((from + counts + wrap) % wrap));
    },
    note: (lengthIs) => send(counter ? reading : null, instrument, lengthIs),
    settle: async (right) => {
      if (right === 'here' && last && clash) {
        const body = {
          segmentId: last.segmentId,
          reading: clash.here,
          lengthIs: last.lengthIs,
          meteredLengthM: last.meteredLengthM,
          turnsCounted: last.turnsCounted,
          instrument: 'read by eye',
          note: '',
          corrects: last.id,
        };
        const result = await sendNow(
          'noteWinding',
          { boatId: record.boat.id, rigId: record.id, loadId: load.id },
          body,
        );
        if (!result.ok) return;
      }
      setLeftOver(null);
    },
    agree: async () => {
      const { offer } = outlook ?? {};
      if (!offer) return;
      const body = { segmentId: offer.segmentId, fromM: offer.fromM, lengthM: offer.toM };
      await sendNow(
        'agreeLength',
        { boatId: record.boat.id, rigId: record.id, loadId: load.id },
        body,
        `${offer.name} has another length now, as you agreed.`,
      );
    },
    undo: async () => {
      if (!last) return;
      const body = { kind: 'winding' as const, id: last.id, rigId: record.id, reason: 'undone at the bench' };
      await sendNow('withdraw', { boatId: record.boat.id }, body, 'The last note is taken back.');
    },
    windVirtuallyToColour: async () => {
      if (!segment || !nextColour) return;
      const { segmentId } = segment;
      const shown = await bench.work({ act: 'wind-to-colour', segmentId, coloursOn: nextColour.coloursOn });
      if (shown?.reading == null) return;
      setTyped(String(shown.reading));
      readBy(shown.instrument, String(shown.reading));
    },
    windVirtually: async () => {
      if (!segment) return;
      const shown = await bench.work({ act: 'wind', segmentId: segment.segmentId });
      if (!shown) return;
      if (shown.reading === null) return send(null, shown.instrument);
      setTyped(String(shown.reading));
      readBy(shown.instrument, String(shown.reading));
    },
  };
}

function positiveNumber(text: string): number | null {
  const value = Number(text.trim().replace(',', '.'));
  return text.trim() !== '' && value > 0 ? value : null;
}
