import { addressOf, type RequestParams } from '@/usecases/requests/routes';
import type { RequestInput } from '@/usecases/requests/schemas';
import { onceHead } from '@/components/http/onceKey';
import { readBreakPlace, readGaugeLine, type BreakPlace, type GaugeSample } from '@/instruments/gaugeLine';

/** What came over the wire when a stream has ended. */
export interface ForceStream {
  readonly samples: readonly GaugeSample[];
  /** Where the piece broke, if whoever stood by said so. */
  readonly brokeAt: BreakPlace | null;
}

/**
 * Reads an instrument's stream line by line as it comes.
 *
 * @param name the request that streams
 * @param params of its path
 * @param body what it is asked for
 * @param show called with all samples so far at every delivery
 * @returns the whole stream; null where the instrument did not answer or the stream broke off
 */
export async function readForceStream<N extends 'streamVirtualGauge' | 'streamVirtualPull'>(
  name: N,
  params: RequestParams<N>,
  body: RequestInput<N>,
  show: (samples: readonly GaugeSample[]) => void,
): Promise<ForceStream | null> {
  const path = addressOf(name, params);
  const act = onceHead('POST', path, body);
  try {
    const response = await fetch(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...act.head },
      body: JSON.stringify(body),
    });
    if (response.status < 499) act.answered();
    return response.ok && response.body ? await readLines(response.body, show) : null;
  } catch {
    return null;
  }
}

async function readLines(
  body: ReadableStream<Uint8Array>,
  show: (samples: readonly GaugeSample[]) => void,
): Promise<ForceStream> {
  const samples: GaugeSample[] = [];
  let [rest, brokeAt]: [string, BreakPlace | null] = ['', null];
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return { samples, brokeAt };
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      brokeAt ??= readBreakPlace(line);
      const sample = readGaugeLine(line);
      if (sample) samples.push(sample);
    }
    show(samples);
  }
}
