import { NextResponse, type NextRequest } from 'next/server';

/** The policy of every page: scripts only with this response's nonce, no frames. What else comes in is the door's (src/serve). */
export function proxy(request: NextRequest) {
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
  return response;
}

export const config = {
  // Files that come in or go out are streams, not pages; the proxy would read them whole first.
  matcher: [
    '/((?!_next/static|_next/image|favicon.ico|icon|manifest|stand-keeper.js|backup|import/|photographs/|export/|log$|live$|link$).*)',
  ],
};
