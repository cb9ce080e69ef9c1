import { fail, type Result } from '../core/math/result';
import { bakeInThread } from './bake-pool';
import { bakeQuery, refusal, type Answer } from './bake-request';
import { isForeign } from './foreign-request';

/** Most bytes of a request's body, and most seconds until it is answered. */
const MAX_BODY_BYTES = 64 * 1024 * 1024;
const MAX_SECONDS = 30;
/** Seconds after which a request that found too many others may come again. */
const COME_AGAIN = 5;

/**
 * Answers POST /api/bake: a project file in the body, `?format=glb|obj|stl|report`, and `run`, `time`, `frames`, `repeated` as on the
 * command line. Errors are `{ problems: [...] }` with words.
 */
export async function answerBake(
  request: Request,
  limits = { bytes: MAX_BODY_BYTES, seconds: MAX_SECONDS },
): Promise<Response> {
  if (isForeign(request)) return refuse(403, fail('request.foreign'));
  if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? ''))
    return refuse(415, fail('request.type'));
  const query = bakeQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) {
    const { path, message } = query.error.issues[0];
    return refuse(400, fail('query.invalid', { key: path.join('.') || 'name', reason: message }));
  }
  const body = await readBody(request, limits.bytes);
  if (body === 'broken') return refuse(400, fail('body.broken'));
  if (body === 'too-large') return refuse(413, fail('body.too-large', { most: limits.bytes }));
  const late = AbortSignal.timeout(limits.seconds * 1000);
  const outcome = await bakeInThread(body, query.data, AbortSignal.any([late, request.signal]));
  if (outcome === 'busy')
    return refuse(429, fail('bake.busy', { seconds: COME_AGAIN }), { 'retry-after': `${COME_AGAIN}` });
  if (outcome === 'late') return refuse(422, fail('time.limit', { seconds: limits.seconds }));
  if (outcome === 'too-large') return refuse(422, fail('bake.too-large'));
  return respond(outcome);
}

/** The body; `too-large` as soon as it is, `broken` where it ends in the middle. */
async function readBody(request: Request, most: number): Promise<Uint8Array | 'too-large' | 'broken'> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return 'too-large';
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  try {
    for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
      bytes += chunk.length;
      if (bytes > most) return 'too-large';
      chunks.push(chunk);
    }
  } catch {
    return 'broken';
  }
  const all = new Uint8Array(bytes);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}

const respond = ({ status, headers, body }: Answer, more: Record<string, string> = {}): Response =>
  new Response(body as Uint8Array<ArrayBuffer>, { status, headers: { ...headers, ...more } });

const refuse = (status: number, { problems }: Extract<Result<never>, { ok: false }>, more = {}): Response =>
  respond(refusal(status, problems), more);
