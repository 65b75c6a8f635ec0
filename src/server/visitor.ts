import { Failure } from './failure';

/** What a request says of where it comes from. */
interface Visit {
  method: string;
  url: string;
  headers: Pick<Headers, 'get'>;
}

/**
 * Why a request is turned away; undefined where it is ours. The server listens on this machine
 * only, but a browser on it visits other sites too: another site may neither change anything here,
 * nor have what is kept here sent, and a name that was made to point here is not served.
 */
export function strangerWords({ method, url, headers }: Visit): string | undefined {
  const host = headers.get('host') ?? '';
  const allowed = (process.env.TOLVAN_HOSTS ?? '127.0.0.1,localhost,[::1]').split(',');
  if (!allowed.includes(host.replace(/:\d+$/, ''))) return 'this name is not served here';
  const changes = method !== 'GET' && method !== 'HEAD';
  const origin = headers.get('origin');
  if (changes && origin !== null && hostOf(origin) !== host)
    return 'this request comes from another site';
  const data = new URL(url).pathname.startsWith('/api/');
  if ((changes || data) && headers.get('sec-fetch-site') === 'cross-site')
    return 'this request comes from another site';
  return undefined;
}

/** @throws Failure 403 */
export function mustBeOurs(request: Visit): void {
  const reason = strangerWords(request);
  if (reason !== undefined) throw new Failure(403, [{ path: '', reason }]);
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
