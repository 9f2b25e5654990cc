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

/** The cookie of a sign-in, by the names that it has with https and without. */
const SIGN_IN = ['__Secure-better-auth.session_token', 'better-auth.session_token'];
/** Says that this was done today. */
const RENEWED = 'renewed';
const DAY_S = 86_400;

/**
 * A sign-in lasts 30 days after it was last used (server/auth.ts). Pages can't tell the browser so, and the cookie would end 30 days after signing in,
 * however often it was used: once a day it gets its time anew.
 */
function staySignedIn(request: NextRequest, response: NextResponse): void {
  if (request.cookies.has(RENEWED)) return;
  const options = { httpOnly: true, sameSite: 'lax', path: '/' } as const;
  for (const name of SIGN_IN) {
    const value = request.cookies.get(name)?.value;
    if (!value) continue;
    response.cookies.set(name, value, { ...options, secure: name.startsWith('__Secure-'), maxAge: 30 * DAY_S });
    response.cookies.set(RENEWED, 'yes', { ...options, maxAge: DAY_S });
  }
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
  staySignedIn(request, response);
  return response;
}

export const config = { matcher: ['/((?!_next/static|_next/image|favicon.ico|icon.svg|shell/|api/).*)'] };
