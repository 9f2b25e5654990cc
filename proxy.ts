import { NextResponse, type NextRequest } from 'next/server';

/**
 * The content security policy. Pages made for each request carry a fresh nonce; the pages of play and of the tools beside it, each one file for
 * everybody, have no script inside them and need none.
 */
const PLAY = ['/play', '/j', '/play/tools'];

const development = process.env.NODE_ENV === 'development';

function policy(scripts: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' ${scripts}${development ? " 'unsafe-eval' 'unsafe-inline'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "worker-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

export function proxy(request: NextRequest) {
  if (PLAY.includes(request.nextUrl.pathname)) {
    const response = NextResponse.next();
    response.headers.set('Content-Security-Policy', policy(''));
    return response;
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const csp = policy(development ? '' : `'nonce-${nonce}' 'strict-dynamic'`);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('Content-Security-Policy', csp);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', csp);
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image|favicon.ico|icon.svg|shell/|api/).*)'] };
