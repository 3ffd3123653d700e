import 'server-only';
import { asId } from '@/usecases/inputs';
import { PERSON_COOKIE } from '@/components/crew/personCookie';
import type { Principal } from '@/db/withBoat';
import { cookieOf } from './cookies';

/** Who is at the bench on this device, as the browser keeps it. Somebody who is not of the boat's crew counts as nobody. */
export function principalOf(cookie: string | undefined): Principal {
  return { personId: cookie === undefined ? null : asId(cookie) };
}

/** The same, from a request's own head. */
export function principalOfRequest(request: Request): Principal {
  return principalOf(cookieOf(request, PERSON_COOKIE));
}
