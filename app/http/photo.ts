import 'server-only';
import { readTiePhoto } from '@/usecases/joins/readTiePhoto';
import { asId } from '@/usecases/inputs';
import { principalOfRequest } from './principal';
import { refuse, refuseError } from './refuse';

/** The newest photo of a tie: /api/boats/:boatId/ties/:tieId/photo. */
export async function answerPhoto(request: Request, path: readonly string[]): Promise<Response> {
  const [boats, boat = '', ties, tie = '', photo, ...further] = path;
  const [boatId, tieId] = [asId(boat), asId(tie)];
  const isPhoto = boats === 'boats' && ties === 'ties' && photo === 'photo' && further.length === 0;
  if (!isPhoto || !boatId || !tieId) return refuse(404, 'There is no such thing here.');
  try {
    const jpeg = await readTiePhoto(principalOfRequest(request), boatId, tieId);
    if (!jpeg) return refuse(404, 'There is no such photo.');
    return new Response(new Uint8Array(jpeg), {
      headers: { 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, max-age=60' },
    });
  } catch (error) {
    return refuseError(request, error);
  }
}
