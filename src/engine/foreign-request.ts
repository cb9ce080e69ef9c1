/** Names of this machine (RFC 6761, 6.3, and RFC 5735). */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** Hosts by which the server may be called beside loopback, from RATTAN_HOSTS: names with commas between. */
const hosts = (): readonly string[] => [...LOOPBACK, ...(process.env.RATTAN_HOSTS ?? '').split(',').filter(Boolean)];

/**
 * Whether a page of another site could have sent this: by the host it names (DNS rebinding), where it says that it comes from
 * (Fetch Metadata, W3C; Origin, RFC 6454), and a type that a form cannot send (Fetch standard, CORS-safelisted headers).
 */
export function isForeign(request: Request): boolean {
  const header = (name: string) => request.headers.get(name);
  const host = header('host') ?? new URL(request.url).host;
  const origin = header('origin');
  const site = header('sec-fetch-site');
  return (
    !hosts().includes(host.replace(/:\d+$/, '')) ||
    (site !== null && site !== 'same-origin' && site !== 'none') ||
    (origin !== null && !(URL.canParse(origin) && new URL(origin).host === host))
  );
}
