import { isFromElsewhere } from '@/app/http/doors';
import { principalOfRequest } from '@/app/http/principal';
import { refuse, refuseError } from '@/app/http/refuse';
import { followRig } from '@/usecases/history/followRig';
import { asId } from '@/usecases/inputs';

/** A rig's acts as they happen, as server-sent events: pages of several devices follow each other by it. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ boatId: string; rigId: string }> },
): Promise<Response> {
  if (isFromElsewhere(request)) return refuse(403, 'This request comes from another site.');
  const asked = await params;
  const [boatId, rigId] = [asId(asked.boatId), asId(asked.rigId)];
  try {
    const events = boatId && rigId ? await followRig(principalOfRequest(request), boatId, rigId, request.signal) : null;
    if (!events) return refuse(404, 'There is no such thing here.');
    return new Response(events, {
      headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store, no-transform' },
    });
  } catch (error) {
    return refuseError(request, error);
  }
}
