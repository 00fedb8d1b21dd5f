import { NextResponse, type NextRequest } from 'next/server';

/** Names it is served on besides, separated by commas. */
const NAMES = (process.env.TIDY_SPOOL_HOSTS ?? '').split(',').map((name) => name.trim().toLowerCase());

/**
 * Whether a request was meant for this program: an address in figures, this computer, or a name that was listed. A page
 * of a foreign name that resolves to this computer comes with that name, and is refused.
 */
export function isOurs(host: string | null): boolean {
  const name = (host ?? '').toLowerCase().replace(/:\d+$/, '');
  return (
    name === 'localhost' ||
    /^\d{1,3}(\.\d{1,3}){3}$|^\[[0-9a-f:.]+\]$/.test(name) ||
    (name !== '' && NAMES.includes(name))
  );
}

/** Security headers on every page: scripts only with this response's nonce, no frames, no sniffing. */
export function proxy(request: NextRequest) {
  if (!isOurs(request.headers.get('host')))
    return new NextResponse('This address is not one that Tidy Spool is served on.', { status: 421 });
  const nonce = btoa(crypto.randomUUID());
  const dev = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    // Drawings set colours by style attributes, and Radix places its layers by them.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  response.headers.set('X-Frame-Options', 'DENY');
  response.headers.set('X-Content-Type-Options', 'nosniff');
  response.headers.set('Referrer-Policy', 'same-origin');
  response.headers.set('Permissions-Policy', 'camera=(), microphone=(), geolocation=()');
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image|favicon.ico|icon.svg).*)'] };
