import { NextResponse, type NextRequest } from 'next/server';

/**
 * Stands before every route: a strict Content-Security-Policy, and no answer to requests that
 * another site (or a name that was made to point here) sends. The server listens on this machine
 * only, but a browser on it visits other sites too.
 */
export function proxy(request: NextRequest) {
  const host = request.headers.get('host') ?? '';
  const allowed = (process.env.TOLVAN_HOSTS ?? '127.0.0.1,localhost,[::1]').split(',');
  if (!allowed.includes(host.replace(/:\d+$/, ''))) return refuse('this name is not served here');
  const origin = request.headers.get('origin');
  const changes = request.method !== 'GET' && request.method !== 'HEAD';
  if (changes && origin !== null && hostOf(origin) !== host)
    return refuse('this request comes from another site');
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

export const config = { matcher: ['/((?!_next/static|icon.svg).*)'] };

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
