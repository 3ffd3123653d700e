import { NextResponse, type NextRequest } from 'next/server';

/**
 * Hosts that this server answers to. It listens on loopback and has no sign-in yet, so a page from
 * elsewhere that points its own name here must not get an answer.
 */
const OWN_HOSTS = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

function contentSecurityPolicy(nonce: string): string {
  const inDevelopment = process.env.NODE_ENV === 'development';
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${inDevelopment ? " 'unsafe-eval'" : ''}`,
    inDevelopment ? "style-src 'self' 'unsafe-inline'" : `style-src 'self' 'nonce-${nonce}'`,
    // Positions of menus and widths of drawings are set on elements.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    `connect-src 'self'${inDevelopment ? ' ws:' : ''}`,
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

export function proxy(request: NextRequest): NextResponse {
  const host = request.headers.get('host') ?? '';
  if (!OWN_HOSTS.test(host)) return new NextResponse('This server answers only on its own machine.', { status: 421 });
  const nonce = btoa(crypto.randomUUID());
  const policy = contentSecurityPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
  return response;
}

export const config = { matcher: '/((?!_next/static|icon.svg).*)' };
