import { failure, success, type Outcome } from '@/core/result';

/** Longest side of a kept photo (pixels), and how many characters of base64 one request may carry. */
const LONGEST = 900;
const MOST_CHARACTERS = 200_000;

/**
 * Shrinks a picture to what is kept of a join: a JPEG of at most 900 pixels a side.
 *
 * @param file what was taken or chosen
 * @returns its base64, or 'not-a-picture'/'picture-too-large'
 */
export async function shrinkPhoto(file: Blob): Promise<Outcome<string, 'not-a-picture' | 'picture-too-large'>> {
  const picture = await createImageBitmap(file).catch(() => null);
  if (!picture) return failure('not-a-picture');
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  for (const quality of [0.8, 0.6, 0.4, 0.2]) {
    const base64 = canvas.toDataURL('image/jpeg', quality).split(',')[1] ?? '';
    if (base64.length <= MOST_CHARACTERS) return success(base64);
  }
  return failure('picture-too-large');
}
