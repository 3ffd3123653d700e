import { thinTrace } from '../../core/force/forceTrace';
import { analyseTrace } from '../../core/strength/analyseTrace';
import { readTraceFile } from '../../instruments/traceFile';
import { row } from './report';

/** What a person waits at most for a recorded trace (ms). */
const MOST_MS = 3000;

/** A recorded trace of many samples: read, analysed and thinned for a drawing, beside splitting its text alone. */
export function benchTrace(samples: number): void {
  const rows = Array.from({ length: samples }, (_, index) => {
    const atS = index / 20_000;
    const pulledS = Math.max(0, atS - 1);
    const force = atS < 45 ? 8 * pulledS + 0.05 * Math.sin(index) : 0;
    return `${atS.toFixed(5)},${force.toFixed(4)},${Math.min(pulledS, 44).toFixed(4)}`;
  });
  const text = `time s,force N,stretch mm\n${rows.join('\n')}`;
  const took = (work: () => void): number => {
    const from = performance.now();
    work();
    return performance.now() - from;
  };
  const plain = took(() => text.split('\n').map((line) => line.split(',')));
  const all = took(() => {
    const trace = readTraceFile(text, 'N');
    if (!trace.ok) throw new Error(trace.reason);
    const reading = analyseTrace(trace.value, 0.5);
    if (!reading.ok) throw new Error(reading.reason);
    thinTrace(trace.value, 600);
  });
  row(
    `${samples.toLocaleString('en')} samples, share of ${MOST_MS / 1000} s`,
    `${((100 * all) / MOST_MS).toFixed(0)} %`,
  );
  row('beside splitting the text alone', `${(all / plain).toFixed(1)} times as long`);
}
