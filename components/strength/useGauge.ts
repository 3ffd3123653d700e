'use client';

import { useState } from 'react';
import type { ForceTrace } from '@/core/force/forceTrace';
import type { Reason } from '@/core/reasons';
import { analyseTrace, type TraceReading } from '@/core/strength/analyseTrace';
import type { BreakPlace, GaugeSample } from '@/instruments/gaugeLine';
import type { StreamInput } from '@/usecases/bench/benchInput';
import { useSay } from '@/components/units/useSay';
import { readForceStream, type ForceStream } from '@/components/bench/forceStream';

/** What a gauge shows while it streams, and what its pull came to. */
export interface GaugeState {
  readonly running: boolean;
  /** Tared force now (N); null while nothing has come. */
  readonly nowN: number | null;
  readonly peakN: number;
  readonly samples: readonly { readonly timeS: number; readonly forceN: number }[];
  readonly reading: TraceReading | null;
  readonly brokeAt: BreakPlace | null;
  readonly problem: string | null;
}

const IDLE: GaugeState = {
  running: false,
  nowN: null,
  peakN: 0,
  samples: [],
  reading: null,
  brokeAt: null,
  problem: null,
};

/** Rest by which a stream is tared as it runs (s). */
const TARE_S = 0.5;
/** Samples that the live drawing keeps: every so many. */
const DRAW_EVERY = 4;

/** Reads a gauge's stream line by line: live force, then peak, break, slips. */
export function useGauge() {
  const [state, setState] = useState<GaugeState>(IDLE);
  const say = useSay();
  return {
    ...state,
    clear: (): void => setState(IDLE),
    /**
     * @param path where the gauge streams from
     * @param body what is in its grips
     * @param gaugeLengthM length between the grips (m)
     */
    async pull(boatId: string, body: StreamInput): Promise<GaugeState> {
      setState({ ...IDLE, running: true });
      const stream = await readForceStream('streamVirtualGauge', { boatId }, body, (samples) =>
        setState(liveState(samples)),
      );
      const done = stream
        ? read(stream, body.gaugeLengthM, say)
        : { ...IDLE, problem: 'The gauge did not answer. Nothing was stored; try again.' };
      setState(done);
      return done;
    },
  };
}

/** What a pull came to when its stream has ended. */
function read({ samples, brokeAt }: ForceStream, gaugeLengthM: number, say: (reason: Reason) => string): GaugeState {
  const outcome = analyseTrace(traceOf(samples), gaugeLengthM);
  const shown = { ...liveState(samples), running: false };
  if (!outcome.ok) return { ...shown, problem: say(outcome) };
  return { ...shown, reading: outcome.value, peakN: outcome.value.peakN, brokeAt };
}

function liveState(samples: readonly GaugeSample[]): GaugeState {
  const resting = samples.filter((sample) => sample.timeS < TARE_S);
  const tareN = resting.reduce((sum, sample) => sum + sample.forceN, 0) / Math.max(resting.length, 1);
  const drawn = samples
    .filter((_, index) => index % DRAW_EVERY === 0)
    .map(({ timeS, forceN }) => ({ timeS, forceN: Math.max(0, forceN - tareN) }));
  const now = samples.at(-1);
  return {
    ...IDLE,
    running: true,
    nowN: now ? now.forceN - tareN : null,
    peakN: samples.reduce((peak, sample) => Math.max(peak, sample.forceN - tareN), 0),
    samples: drawn,
  };
}

function traceOf(samples: readonly GaugeSample[]): ForceTrace {
  const hasStretch = samples.every((sample) => sample.stretchM !== null);
  return {
    timeS: Float64Array.from(samples, (sample) => sample.timeS),
    forceN: Float64Array.from(samples, (sample) => sample.forceN),
    stretchM: hasStretch ? Float64Array.from(samples, (sample) => sample.stretchM ?? NaN) : null,
  };
}
