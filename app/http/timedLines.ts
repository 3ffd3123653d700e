import 'server-only';
import type { TimedLines } from '@/usecases/bench/virtualBench';

/** Milliseconds between two deliveries of a stream. */
const DELIVERY_MS = 50;

/** Lines of an instrument's stream, each sent when its time has come. */
export function inRealTime({ lines, timeS }: TimedLines): Response {
  const encoder = new TextEncoder();
  const startedAt = performance.now();
  let sent = 0;
  /** The head goes with the first sample, whatever follows the last one with the end. */
  const isDue = (line: number): boolean => (timeS[Math.max(0, line - 1)] ?? 0) * 1000 <= performance.now() - startedAt;
  const stream = new ReadableStream({
    async pull(controller) {
      await new Promise((resume) => setTimeout(resume, DELIVERY_MS));
      let text = '';
      for (; sent < lines.length && isDue(sent); sent += 1) text += lines[sent];
      if (text !== '') controller.enqueue(encoder.encode(text));
      if (sent >= lines.length) controller.close();
    },
  });
  return new Response(stream, { headers: { 'content-type': 'text/plain; charset=utf-8' } });
}
