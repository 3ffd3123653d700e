import 'server-only';

/**
 * True for a request that another site has sent through somebody's browser. A browser names where a page came from in
 * Origin and Sec-Fetch-Site; a program that is no browser sends neither.
 */
export function isFromElsewhere(request: Request): boolean {
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin') return true;
  const origin = request.headers.get('origin');
  // The server speaks plain HTTP on its own machine only; a sandboxed page sends the word "null".
  return origin !== null && origin !== `http://${request.headers.get('host') ?? ''}`;
}
