import { Failure } from './failure';

/** Names of this machine, by which alone the server answers. */
const HOSTS: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '[::1]']);

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
  if (!HOSTS.has(host.replace(/:\d+$/, ''))) return 'this name is not served here';
  const changes = method !== 'GET' && method !== 'HEAD';
  const origin = headers.get('origin');
  if (changes && origin !== null && hostOf(origin) !== host)
    return 'this request comes from another site';
  const data = new URL(url).pathname.startsWith('/api/');
  if ((changes || data) && headers.get('sec-fetch-site') === 'cross-site')
    return 'this request comes from another site';
  return undefined;
}

/**
 * Why a change is refused for what it says it carries; undefined where it may go on. A page of another
 * site can send forms and plain text without asking first; JSON and raw bytes a browser sends only to
 * whoever has agreed to it (CORS preflight, WHATWG Fetch), and nobody here agrees.
 * @param carries the one content type the route takes
 */
export function undeclaredWords(
  { method, headers }: Visit,
  carries = 'application/json',
): string | undefined {
  if (method === 'GET' || method === 'HEAD') return undefined;
  const type = (headers.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase();
  return type === carries ? undefined : `a change must be sent as ${carries}`;
}

/**
 * For a route the proxy does not stand before.
 * @throws Failure 403 for a stranger, 415 where it does not say that it carries `type`
 */
export function mustBeOurs(request: Visit, type: string): void {
  const stranger = strangerWords(request);
  if (stranger !== undefined) throw new Failure(403, [{ path: '', reason: stranger }]);
  const undeclared = undeclaredWords(request, type);
  if (undeclared !== undefined) throw new Failure(415, [{ path: '', reason: undeclared }]);
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
