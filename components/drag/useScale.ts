'use client';

import { useState } from 'react';
import { readDragPull } from '@/core/drag/readPull';
import { judgeScaleSession, type ScaleSession } from '@/core/drag/scaleSession';
import type { ForceSample } from '@/core/force/forceSample';
import type { DragPullRecord, DragSettingRecord } from '@/core/record/record';
import { sessionPulls } from '@/core/record/sessionPulls';
import { readForceStream } from '@/components/bench/forceStream';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { blocked } from '@/components/fields/blocked';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useQuantity } from '@/components/fields/QuantityField';
import { useKeptCheck, useKeptChoice } from '@/components/fields/useKept';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';
import { warmKey } from './warm';

const PULL_KINDS: readonly DragPullRecord['kind'][] = ['warm-up', 'bent rod', 'straight'];

/** Warm-up pulls before any that counts. */
const WARM_UPS = 2;

/** Everything that a session with a scale needs, for the form and for bench mode alike. */
export function useScale(setting: DragSettingRecord) {
  const { record } = useRig();
  const { sendNow, state, fieldError } = useSend();
  const bench = useVirtualReel();
  const say = useSay();
  const [samples, setSamples] = useState<readonly ForceSample[]>([]);
  const [turned, setTurned] = useKeptCheck(`turned:${setting.id}`);
  const [liveN, setLiveN] = useState<number | null>(null);
  const [unread, setUnread] = useState<string | null>(null);
  const [isWarm] = useKeptCheck(warmKey(setting.id));
  const warmUps = isWarm ? WARM_UPS : setting.pulls.filter((pull) => pull.kind === 'warm-up').length;
  const [kind, pick] = useKeptChoice(
    `pull-kind:${setting.id}`,
    PULL_KINDS,
    warmUps < WARM_UPS ? 'warm-up' : 'bent rod',
  );
  const moving = useQuantity(`moving:${setting.id}`, 'force', null, LIMITS.forceN);
  const breakaway = useQuantity(`breakaway:${setting.id}`, 'force', null, LIMITS.forceN);
  const scale = useInstrument(`moving:${setting.id}`, [moving.field.typed, breakaway.field.typed]);
  // Until the page has heard of the last pull, the next one would go in under what was asked before it.
  const lastId = setting.pulls.at(-1)?.id ?? null;
  const [storedAfter, setStoredAfter] = useState<{ id: string | null } | null>(null);
  const isUnheard = storedAfter?.id === lastId;
  if (storedAfter && !isUnheard) setStoredAfter(null);
  const lastStep = Math.max(0, ...setting.pulls.map((pull) => pull.settingStep));
  const turns = useTurns(setting);
  return {
    samples,
    unread,
    turned,
    setTurned,
    turns,
    kind,
    pick,
    moving,
    breakaway,
    warmUps,
    fieldError,
    isSaving: state.kind === 'sending' || isUnheard,
    busy: state.kind === 'sending' || isUnheard || bench.busy || liveN !== null,
    judgement: judgeScaleSession(sessionPulls(setting), setting.targetN),
    async recordPull(): Promise<void> {
      if (blocked(moving, breakaway) || (turned && turns.field.error)) return;
      const settingStep = turned ? lastStep + 1 : lastStep;
      const body = {
        kind,
        movingN: moving.value,
        breakawayN: breakaway.value,
        settingStep,
        starTurns: turned ? turns.now : turns.before,
        instrument: scale.instrument,
      };
      const result = await sendNow(
        'recordDragPull',
        { boatId: record.boat.id, rigId: record.id, settingId: setting.id },
        body,
      );
      if (!result.ok) return;
      setStoredAfter({ id: lastId });
      moving.forget();
      breakaway.forget();
      setTurned(false);
      turns.forget();
      setSamples([]);
      pick(null);
      scale.forget();
    },
    /** Force now while a pull streams (N); null between pulls. */
    liveN,
    /** Pulls the virtual scale, live; its reading stands in the fields. */
    async pull(): Promise<void> {
      const input = { act: 'pull-drag' as const, rodAngleRad: kind === 'straight' ? 0 : setting.rodAngleRad };
      setLiveN(0);
      const stream = await readForceStream(
        'streamVirtualPull',
        { boatId: record.boat.id, rigId: record.id },
        input,
        (samplesSoFar) => {
          setSamples([...samplesSoFar]);
          setLiveN(samplesSoFar.at(-1)?.forceN ?? 0);
        },
      );
      setLiveN(null);
      const read = stream && readDragPull(stream.samples);
      setUnread(read === null ? 'The scale did not answer. Try again.' : read.ok ? null : say(read));
      if (!read?.ok) return;
      const movingRead = { text: read.value.movingN.toFixed(2), unit: 'N' };
      const breakawayRead = { text: read.value.breakawayN.toFixed(2), unit: 'N' };
      moving.set(movingRead);
      breakaway.set(breakawayRead);
      scale.readBy('virtual scale', [movingRead, breakawayRead]);
    },
    async turn(clicks: number): Promise<void> {
      if (await bench.work({ act: 'turn-drag', clicks })) setTurned(true);
    },
    async undo(): Promise<void> {
      const last = setting.pulls.at(-1);
      if (!last) return;
      const body = { kind: 'dragPull' as const, id: last.id, rigId: record.id, reason: 'undone at the scale' };
      await sendNow('withdraw', { boatId: record.boat.id }, body, 'The last pull is taken back.');
    },
    async drop(): Promise<void> {
      await sendNow(
        'dropSession',
        { boatId: record.boat.id, rigId: record.id, settingId: setting.id },
        {},
        'The session is called off; its pulls stay on record.',
      );
    },
    async accept(): Promise<boolean> {
      return (
        await sendNow(
          'acceptSetting',
          { boatId: record.boat.id, rigId: record.id, settingId: setting.id },
          {},
          'The drag is set.',
        )
      ).ok;
    },
  };
}

/** Where the star stands, in turns since the session began: told step by step, and not known any more once a step was not told. */
function useTurns(setting: DragSettingRecord) {
  const [typed, setTyped] = useDraft(`star-turns:${setting.id}`, isText);
  const last = setting.pulls.at(-1);
  const before = last ? last.starTurns : 0;
  const text = (typed ?? '').trim();
  const by = text === '' ? null : Number(text.replace(',', '.'));
  const isWrong = by !== null && !(Math.abs(by) <= MOST_TURNS);
  return {
    before,
    now: before === null || by === null || isWrong ? null : before + by,
    field: {
      value: typed ?? '',
      onChange: setTyped,
      inputMode: 'decimal' as const,
      figures: true,
      error: isWrong ? `A number of turns, ${MOST_TURNS} at most.` : undefined,
    },
    forget: () => setTyped(null),
  };
}

/** Turns of a star between two pulls; more is a slip of the finger. */
const MOST_TURNS = 10;

export type Scale = ReturnType<typeof useScale>;

/** What to do next, in a sentence. */
export function verdictWords(
  judgement: ScaleSession | null,
  warmUps: number,
  force: (valueN: number) => string,
): string {
  if (!judgement) {
    const left = WARM_UPS - warmUps;
    return left > 0
      ? `Warm up: ${left} more pull${left === 1 ? '' : 's'} that do not count.`
      : 'Pull through the bent rod.';
  }
  switch (judgement.verdict) {
    case 'tighten':
      return `A little more: ${force(judgement.toGoN)} to go.`;
    case 'ease':
      return `A little less: ${force(-judgement.toGoN)} too much.`;
    case 'pull-again':
      return 'On target. Pull again: three pulls must agree.';
    case 'scattered':
      return `On target, but the pulls scatter by ${force(judgement.spreadN)}: pull more slowly.`;
    case 'set':
      return `Set: the last three agree within ${force(judgement.spreadN)}.`;
  }
}
