import { answer } from '@/app/api/answer';
import { keepTiePhoto, readTiePhoto } from '@/usecases/joins/joinChecks';
import { photoInput } from '@/usecases/joins/joinInput';
import { isUuid } from '@/usecases/limits';

interface Params extends Record<string, string> {
  boatId: string;
  tieId: string;
}

export const POST = answer(photoInput, ({ boatId, tieId }: Params, input) => keepTiePhoto(boatId, tieId, input));

export async function GET(_: Request, context: { params: Promise<Params> }): Promise<Response> {
  const { boatId, tieId } = await context.params;
  const jpeg = isUuid(boatId) && isUuid(tieId) ? await readTiePhoto(boatId, tieId) : null;
  if (!jpeg) return new Response('There is no such photo.', { status: 404 });
  return new Response(new Uint8Array(jpeg), {
    headers: {
      'Content-Type': 'image/jpeg',
      'X-Content-Type-Options': 'nosniff',
      'Cache-Control': 'private, max-age=60',
    },
  });
}
