import 'server-only';

/** A cookie of a request's own head. */
export function cookieOf(request: Request, name: string): string | undefined {
  const cookies = (request.headers.get('cookie') ?? '').split(';').map((each) => each.trim().split('='));
  return cookies.find(([key]) => key === name)?.[1];
}
