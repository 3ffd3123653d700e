import { expose } from 'comlink';
import { thinTrace, type TraceColumn } from '@/core/force/forceTrace';
import type { Outcome } from '@/core/result';
import { analyseTrace, type TraceProblem, type TraceReading } from '@/core/strength/analyseTrace';
import { readTraceFile, type TraceFileProblem } from '@/instruments/traceFile';

/** What a recorded trace came to, with a drawing of it that hides no extreme. */
export interface ReadTrace {
  readonly columns: readonly TraceColumn[];
  readonly reading: Outcome<TraceReading, TraceProblem>;
}

/** Reads, analyses and thins a recorded trace away from the page. */
const worker = {
  async read(
    file: Blob,
    unit: string,
    gaugeLengthM: number,
    columns: number,
  ): Promise<Outcome<ReadTrace, TraceFileProblem>> {
    const trace = readTraceFile(await file.text(), unit);
    if (!trace.ok) return trace;
    return {
      ok: true,
      value: { columns: thinTrace(trace.value, columns), reading: analyseTrace(trace.value, gaugeLengthM) },
    };
  },
};

export type TraceWorker = typeof worker;

expose(worker);
