import { isFromElsewhere } from '@/app/http/doors';
import { principalOfRequest } from '@/app/http/principal';
import { refuse, refuseError } from '@/app/http/refuse';
import { followBoat } from '@/usecases/history/followBoat';
import { asId } from '@/usecases/inputs';

/** What is done on a boat as it happens, as server-sent events: pages of several devices follow each other by it. */
export async function GET(request: Request, { params }: { params: Promise<{ boatId: string }> }): Promise<Response> {
  if (isFromElsewhere(request)) return refuse(403, 'This request comes from another site.');
  const boatId = asId((await params).boatId);
  const asked = new URL(request.url).searchParams.get('rig');
  const rigId = asked === null ? null : asId(asked);
  try {
    const isMeant = boatId !== null && (asked === null || rigId !== null);
    const events = isMeant ? await followBoat(principalOfRequest(request), boatId, rigId, request.signal) : null;
    if (!events) return refuse(404, 'There is no such thing here.');
    return new Response(events, {
      headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store, no-transform' },
    });
  } catch (error) {
    return refuseError(request, error);
  }
}
