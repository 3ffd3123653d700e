import 'server-only';
import { because } from '../../core/reasons';
import { done, invalid, type UseCaseOutcome } from '../outcome';
import { runInWorker } from '../workers/pool';
import type { PhotoInput } from './joinInput';

/** A photo read and written anew, so that nothing but its pixels is kept; refused where it is no small JPEG. */
export async function cleanPhoto(input: PhotoInput): Promise<UseCaseOutcome<PhotoInput>> {
  const jpegBase64 = await runInWorker<string | null>('photo', input.jpegBase64);
  return jpegBase64 === null ? invalid('jpegBase64', because('not-a-jpeg')) : done({ jpegBase64 });
}
