import { z } from 'zod';
import type { Problem } from '../core/math/result';
import { LONGEST_SEQUENCE } from '../core/motion/frame-range';
import { REPEATED } from '../formats/format';
import { WRITERS } from '../formats/registry';
import { zipFiles } from '../formats/zip';
import { parseProjectFile } from '../project/project-file';
import { bakeFiles, loadFrom } from './bake';
import { zipSequence } from './zip-sequence';
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
    .refine(([first, last]) => last >= first && last - first < LONGEST_SEQUENCE, 'from a frame to a later one')
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

const zipHeaders = { 'content-type': 'application/zip', 'content-disposition': 'attachment; filename="rattan.zip"' };

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
    const zipped = await zipSequence(
      project,
      deriver,
      { extension, range },
      { run, repeated, mostVertices: MOST_VERTICES },
    );
    if (!zipped.ok) return refusal(422, zipped.problems);
    return { status: 200, headers: zipHeaders, body: zipped.value };
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
