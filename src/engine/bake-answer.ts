import { zipSync } from 'fflate';
import { z } from 'zod';
import { fail, type Problem, type Result } from '../core/math/result';
import { WRITERS } from '../formats/registry';
import { parseProjectFile } from '../project/project-file';
import { bakeFiles, loadFrom } from './bake';
import { Deriver } from './derive';
import { problemWords } from './problem-words';

/** Most bytes of a request's body, and most seconds that one bake may take. */
export const MAX_BODY_BYTES = 64 * 1024 * 1024;
export const MAX_SECONDS = 30;

const querySchema = z.strictObject({
  format: z.enum(['report', ...WRITERS.map((f) => f.extensions[0]!)]).default('glb'),
  run: z.string().min(1).max(200).optional(),
  time: z.coerce.number().min(0).optional(),
  frames: z.coerce.number().int().min(2).max(100_000).optional(),
});

/** Thrown from the middle of the work when the time is up. */
class TimeUp extends Error {}

/**
 * Answers POST /api/bake: a project file in the body, `?format=glb|obj|stl|report`, and `run`, `time`, `frames` as on the
 * command line. A report is JSON; files that come in several are zipped. Errors are `{ problems: [...] }` with words.
 */
export async function answerBake(
  request: Request,
  limits = { bytes: MAX_BODY_BYTES, seconds: MAX_SECONDS },
): Promise<Response> {
  const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) {
    const { path, message } = query.error.issues[0]!;
    return refuse(400, fail('query.invalid', { key: path.join('.') || 'name', reason: message }));
  }
  const body = await readBody(request, limits.bytes);
  if (body === undefined) return refuse(413, fail('body.too-large', { most: limits.bytes }));
  const opened = await parseProjectFile(body);
  if (!opened.ok) return refuse(opened.problems[0]!.code === 'project.invalid' ? 422 : 400, opened);
  const { format, run, time, frames } = query.data;
  const deadline = performance.now() + limits.seconds * 1000;
  const onProgress = () => {
    if (performance.now() > deadline) throw new TimeUp();
  };
  try {
    const { project, assets } = opened.value;
    const extension = format === 'report' ? 'glb' : format;
    const options = { run, time: time ?? null, frames: frames ?? 0, onProgress };
    const baked = await bakeFiles(
      project,
      new Deriver(loadFrom(assets), async (id) => assets.get(id)),
      extension,
      'rattan',
      options,
    );
    if (!baked.ok) return refuse(422, baked);
    const { files, reports } = baked.value;
    if (format === 'report') return Response.json({ project: project.name, runs: reports });
    const isOne = files.length === 1;
    const bytes = isOne
      ? files[0]!.bytes
      : zipSync(Object.fromEntries(files.map((f) => [f.name, f.bytes])), { mtime: '1980-01-02' });
    const mime = isOne ? WRITERS.find((f) => f.extensions[0] === extension)!.mime : 'application/zip';
    const name = isOne ? files[0]!.name : 'rattan.zip';
    const warning = [...opened.warnings, ...baked.warnings].map(problemWords).join(' ').replaceAll(/[^ -~]/g, '?'); // ISO 8859-1 at most (RFC 9110, 5.5)
    return new Response(bytes as Uint8Array<ArrayBuffer>, {
      headers: {
        'content-type': mime,
        'content-disposition': `attachment; filename="${name}"`,
        ...(warning && { 'x-rattan-warning': warning }),
      },
    });
  } catch (error) {
    if (error instanceof TimeUp) return refuse(422, fail('time.limit', { seconds: limits.seconds }));
    throw error;
  }
}

/** The body as text; undefined when it is larger than `most` bytes, which is noticed before it is all read. */
async function readBody(request: Request, most: number): Promise<string | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return undefined;
  const decoder = new TextDecoder();
  let text = '';
  let bytes = 0;
  for await (const chunk of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += chunk.length;
    if (bytes > most) return undefined;
    text += decoder.decode(chunk, { stream: true });
  }
  return text + decoder.decode();
}

function refuse(status: number, { problems }: Extract<Result<never>, { ok: false }>): Response {
  const told = problems.map((problem: Problem) => ({ ...problem, message: problemWords(problem) }));
  return Response.json({ problems: told }, { status });
}
