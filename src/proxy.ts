import { NextResponse, type NextRequest } from 'next/server';
import { strangerWords, undeclaredWords } from './server/visitor';

/** Stands before every route: a strict Content-Security-Policy, and no answer to strangers. */
export function proxy(request: NextRequest) {
  const stranger = strangerWords(request);
  if (stranger !== undefined) return refuse(stranger);
  const undeclared = undeclaredWords(request);
  if (undeclared !== undefined) return refuse(undeclared, 415);
  if (!isWellFormed(request.nextUrl.pathname))
    return refuse('this address is not well formed', 400);

  const nonce = btoa(crypto.randomUUID());
  const development = process.env.NODE_ENV === 'development';
  const policy = [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ''}`,
    `worker-src 'self' blob:`,
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  return response;
}

function refuse(reason: string, status = 403) {
  return NextResponse.json({ problems: [{ path: '', reason }] }, { status });
}

function isWellFormed(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

// An archive on its way in looks at its sender itself: here all of it would be held in memory.
export const config = { matcher: ['/((?!_next/static|icon.svg|api/archive/in$).*)'] };
