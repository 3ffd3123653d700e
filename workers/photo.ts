import { decode, encode } from 'jpeg-js';

/** The most pixels of a picture (millions), and what it may take to read one (MB): a small file can claim to be huge. */
const MOST_PIXELS_MP = 2;
const MOST_MEMORY_MB = 64;
const QUALITY = 80;

/**
 * Reads a JPEG and writes it anew, so that only pixels are kept: no place where it was taken, no camera, nothing that is
 * hidden in it. Runs in a worker thread.
 *
 * @param base64 the picture as it came
 * @returns the picture anew; null where it is no JPEG, or larger than a small one
 */
export default function rewrite(base64: string): string | null {
  try {
    const pixels = decode(Buffer.from(base64, 'base64'), {
      useTArray: true,
      maxResolutionInMP: MOST_PIXELS_MP,
      maxMemoryUsageInMB: MOST_MEMORY_MB,
    });
    return encode(pixels, QUALITY).data.toString('base64');
  } catch {
    return null;
  }
}
