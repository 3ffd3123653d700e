import { NextResponse, type NextRequest } from 'next/server';
import { databaseAnswers } from './db/answers';

/**
 * Hosts that this server answers to. It listens on loopback and has no sign-in yet, so a page from
 * elsewhere that points its own name here must not get an answer. The start command names the port.
 */
const NAMES = ['localhost', '127.0.0.1', '[::1]'];
const PORT = process.env.PORT;

function isOwnHost(host: string): boolean {
  return NAMES.some((name) => (PORT ? host === `${name}:${PORT}` : host === name || host.startsWith(`${name}:`)));
}

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

const HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), geolocation=(), microphone=(), payment=(), usb=()',
};

/** Seconds after which a page that could not be read is asked for again. */
const RETRY_AFTER_S = 2;

const AWAY = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<meta http-equiv="refresh" content="${RETRY_AFTER_S}"><title>One moment · Tidy Marlin</title>
<body><main id="main"><h1>The records cannot be reached just now</h1>
<p>Nothing that was stored is lost, and what you were typing is kept in this browser. This page tries again by itself.</p></main>`;

export async function proxy(request: NextRequest): Promise<NextResponse> {
  const host = request.headers.get('host') ?? '';
  if (!isOwnHost(host)) return new NextResponse('This server answers only on its own machine.', { status: 421 });
  const nonce = btoa(crypto.randomUUID());
  const policy = contentSecurityPolicy(nonce);
  const response = await answer(request, nonce, policy);
  response.headers.set('content-security-policy', policy);
  for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
  return response;
}

async function answer(request: NextRequest, nonce: string, policy: string): Promise<NextResponse> {
  // A page cannot say "come back" once it is being made; requests under /api can, and do.
  if (!request.nextUrl.pathname.startsWith('/api/') && !(await databaseAnswers())) {
    const headers = { 'content-type': 'text/html; charset=utf-8', 'retry-after': String(RETRY_AFTER_S) };
    return new NextResponse(AWAY, { status: 503, headers });
  }
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  return NextResponse.next({ request: { headers } });
}

export const config = { matcher: '/((?!_next/static|icon.svg).*)' };
