import { z } from 'zod';
import type { Problem } from '../core/math/result';
import { MOST_FRAMES, type FrameRange } from '../core/motion/frame-range';
import { REPEATED } from '../formats/format';
import { WRITERS } from '../formats/registry';
import { zipFiles } from '../formats/zip';
import { ZipStream } from '../formats/zip-stream';
import { parseProjectFile } from '../project/project-file';
import type { Project } from '../project/schema';
import { bakeFiles, loadFrom, type BakeOptions } from './bake';
import { bakeFrame } from './bake-sequence';
import { Deriver } from './derive';
import { problemWords } from './problem-words';

export const bakeQuery = z.strictObject({
  format: z.enum(['report', ...WRITERS.map((f) => f.extensions[0])]).default('glb'),
  run: z.string().min(1).max(200).optional(),
  time: z.coerce.number().min(0).optional(),
  repeated: z.enum(REPEATED).optional(),
  frames: z.coerce.number().int().min(2).max(100_000).optional(),
  /** A sequence, zipped: frames by number, such as 1-120. */
  framesRange: z
    .string()
    .regex(/^[1-9]\d*-[1-9]\d*$/)
    .transform((text) => text.split('-').map(Number) as [number, number])
    .refine(([first, last]) => last >= first && last - first < MOST_FRAMES, 'from a frame to a later one')
    .optional(),
  fps: z.coerce.number().min(1).max(240).optional(),
});

/** Vertices of one bake: it takes some 350 bytes for each. */
const MOST_VERTICES = 5_000_000;

export type BakeQuery = z.infer<typeof bakeQuery>;

/** What is sent back, as far as it can go from one thread to another. */
export interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Uint8Array;
}

const JSON_TYPE = { 'content-type': 'application/json' };
const jsonAnswer = (status: number, value: unknown): Answer => ({
  status,
  headers: JSON_TYPE,
  body: new TextEncoder().encode(JSON.stringify(value)),
});

/** Problems with their words. */
export const refusal = (status: number, problems: readonly Problem[]): Answer =>
  jsonAnswer(status, { problems: problems.map((problem) => ({ ...problem, message: problemWords(problem) })) });

/** Bakes the project file in a request's body. A report is JSON; files that come in several are zipped. */
export async function bakeRequest(
  body: Uint8Array,
  { format, run, time, frames, repeated, framesRange, fps }: BakeQuery,
): Promise<Answer> {
  const opened = await parseProjectFile(new TextDecoder().decode(body));
  if (!opened.ok) return refusal(opened.problems[0].code === 'project.invalid' ? 422 : 400, opened.problems);
  const { project, assets } = opened.value;
  const extension = format === 'report' ? 'glb' : format;
  const deriver = new Deriver(loadFrom(assets), async (id) => assets.get(id));
  if (framesRange) {
    const [first, last] = framesRange;
    const range = { first, last, framesPerSecond: fps ?? project.time.framesPerSecond };
    return sequenceAnswer(project, deriver, { extension, range }, { run, repeated, mostVertices: MOST_VERTICES });
  }
  const baked = await bakeFiles(project, deriver, extension, 'rattan', {
    run,
    repeated,
    time: time ?? null,
    frames: frames ?? 0,
    mostVertices: MOST_VERTICES,
  });
  if (!baked.ok) return refusal(422, baked.problems);
  const { files, reports } = baked.value;
  if (format === 'report') return jsonAnswer(200, { project: project.name, runs: reports });
  const [first, ...beside] = files;
  const isOne = beside.length === 0;
  const warning = [...opened.warnings, ...baked.warnings].map(problemWords).join(' ');
  return {
    status: 200,
    headers: {
      'content-type': isOne ? WRITERS.find((f) => f.extensions[0] === extension)!.mime : 'application/zip',
      'content-disposition': `attachment; filename="${isOne ? first.name : 'rattan.zip'}"`,
      ...(warning && { 'x-rattan-warning': warning.replaceAll(/[^ -~]/g, '?') }), // ISO 8859-1 at most (RFC 9110, 5.5)
    },
    body: isOne ? first.bytes : zipFiles(files),
  };
}

/** Bytes of a sequence that is answered, at the most. */
const MOST_BYTES = 512 * 1024 * 1024;

/** A sequence as one zip. */
async function sequenceAnswer(
  project: Project,
  deriver: Deriver,
  { extension, range }: { readonly extension: string; readonly range: FrameRange },
  options: BakeOptions,
): Promise<Answer> {
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  const zip = new ZipStream((chunk) => {
    chunks.push(chunk);
    bytes += chunk.length;
  });
  for (let frame = range.first; frame <= range.last; frame++) {
    const baked = await bakeFrame(project, deriver, { extension, name: 'rattan', range }, frame, options);
    if (!baked.ok) return refusal(422, baked.problems);
    baked.value.forEach((file) => zip.add(file));
    if (bytes > MOST_BYTES) return refusal(422, [{ code: 'bake.too-large', path: [], facts: {} }]);
  }
  zip.end();
  const headers = { 'content-type': 'application/zip', 'content-disposition': 'attachment; filename="rattan.zip"' };
  return { status: 200, headers, body: Buffer.concat(chunks) };
}
