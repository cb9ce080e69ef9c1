import { z } from 'zod';
import type { Problem } from '../core/math/result';
import { LONGEST_SEQUENCE, rangeOf, type FrameRange } from '../core/motion/frame-range';
import { REPEATED, type NamedBytes } from '../formats/format';
import { WRITERS } from '../formats/registry';
import { zipFiles } from '../formats/zip';
import type { Project } from '../project/schema';
import { parseProjectFile } from '../project/project-file';
import { bakeFiles, loadFrom } from './bake';
import { bakeMoving } from './bake-moving';
import { MANNER_DEFAULTS, MOST_OF_MANNER } from './moving-objects';
import { zipSequence } from './zip-sequence';
import { Deriver } from './derive';
import { problemWords } from './problem-words';

/** Of a sequence: no project has more, and all of them are exact. */
const LAST_FRAME = 1_000_000;

/** A number in an address; nothing is none, not 0. */
const inAddress = z.string().regex(/\S/, 'a number is missing').transform(Number);

const alone = z.strictObject({
  format: z.enum(['report', ...WRITERS.map((f) => f.extensions[0])]).default('glb'),
  run: z.string().min(1).max(200).optional(),
  time: inAddress.pipe(z.number().min(0)).optional(),
  repeated: z.enum(REPEATED).optional(),
  frames: inAddress.pipe(z.number().int().min(2).max(100_000)).optional(),
  /** A sequence, zipped: frames by number, such as 1-120. */
  framesRange: z
    .string()
    .regex(/^[1-9]\d*-[1-9]\d*$/)
    .transform((text) => text.split('-').map(Number) as [number, number])
    .refine(([, last]) => last <= LAST_FRAME, `the last frame there may be is ${LAST_FRAME}`)
    .refine(([first, last]) => last >= first && last - first < LONGEST_SEQUENCE, 'from a frame to a later one')
    .optional(),
  fps: inAddress.pipe(z.number().min(1).max(240)).optional(),
  /** One GLB of those frames that moves, and about how many joints or shapes a course has. */
  moving: z.enum(['joints', 'shapes']).optional(),
  most: inAddress.pipe(z.number().int().min(2).max(MOST_OF_MANNER)).optional(),
});

type Asked = z.infer<typeof alone>;

/** What does not go together, by the key that is to be left out or changed. */
const AGAINST: readonly (readonly [keyof Asked, string, (asked: Asked) => boolean])[] = [
  ['moving', 'it makes one GLB: ask for format=glb', ({ moving, format }) => moving !== undefined && format !== 'glb'],
  ['framesRange', 'a report is of one state: leave it out', ({ framesRange, format }) => framesRange !== undefined && format === 'report'], // prettier-ignore
  ['frames', 'they are frames of a report: ask for format=report', ({ frames, format }) => frames !== undefined && format !== 'report'], // prettier-ignore
  ['time', 'it is one moment, framesRange many: take one', ({ time, framesRange, moving }) => time !== undefined && (framesRange !== undefined || moving !== undefined)], // prettier-ignore
  ['most', 'it says how finely something moves: ask for moving', ({ most, moving }) => most !== undefined && moving === undefined], // prettier-ignore
];

export const bakeQuery = alone.superRefine((asked, context) => {
  for (const [key, message, isAgainst] of AGAINST)
    if (isAgainst(asked)) context.addIssue({ code: 'custom', path: [key], message });
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

const fileHeaders = ({ name }: NamedBytes, extension: string) => ({
  'content-type': WRITERS.find((f) => f.extensions[0] === extension)!.mime,
  'content-disposition': `attachment; filename="${name}"`,
});

/** Problems with their words. */
export const refusal = (status: number, problems: readonly Problem[]): Answer =>
  jsonAnswer(status, { problems: problems.map((problem) => ({ ...problem, message: problemWords(problem) })) });

/** The frames that are asked for, or all that the project plays, the first one of a loop again at its end. */
function rangeFor({ time }: Project, asked: BakeQuery['framesRange'], fps: number | undefined): FrameRange {
  const framesPerSecond = fps ?? time.framesPerSecond;
  if (asked) return { first: asked[0], last: asked[1], framesPerSecond };
  const played = rangeOf({ ...time, framesPerSecond });
  return time.loops ? { ...played, last: played.last + 1 } : played;
}

/** Warnings go with every kind of answer; ISO 8859-1 at most (RFC 9110, 5.5). */
const warningHeader = (warnings: readonly Problem[]): Record<string, string> =>
  warnings.length > 0
    ? {
        'x-rattan-warning': warnings
          .map(problemWords)
          .join(' ')
          .replaceAll(/[^ -~]/g, '?'),
      }
    : {};

/** Bakes the project file in a request's body. A report is JSON; files that come in several are zipped. */
export async function bakeRequest(
  body: Uint8Array,
  { format, run, time, frames, repeated, framesRange, fps, moving, most }: BakeQuery,
): Promise<Answer> {
  const opened = await parseProjectFile(new TextDecoder().decode(body));
  if (!opened.ok) return refusal(opened.problems[0].code === 'project.invalid' ? 422 : 400, opened.problems);
  const { project, assets } = opened.value;
  const extension = format === 'report' ? 'glb' : format;
  const deriver = new Deriver(loadFrom(assets), async (id) => assets.get(id));
  if (framesRange || moving) {
    const range = rangeFor(project, framesRange, fps);
    if (moving) {
      const manner = { by: moving, most: most ?? MANNER_DEFAULTS[moving] };
      const made = await bakeMoving(project, deriver, 'rattan', { ...manner, range, run });
      if (!made.ok) return refusal(422, made.problems);
      const { files, facts } = made.value;
      return {
        status: 200,
        headers: {
          ...fileHeaders(files[0], 'glb'),
          'x-rattan-off': `${facts.off}`,
          ...warningHeader([...opened.warnings, ...made.warnings]),
        },
        body: files[0].bytes,
      };
    }
    const zipped = await zipSequence(
      project,
      deriver,
      { extension, range },
      { run, repeated, mostVertices: MOST_VERTICES },
    );
    if (!zipped.ok) return refusal(422, zipped.problems);
    return {
      status: 200,
      headers: { ...zipHeaders, ...warningHeader([...opened.warnings, ...zipped.warnings]) },
      body: zipped.value,
    };
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
  const told = warningHeader([...opened.warnings, ...baked.warnings]);
  if (format === 'report') {
    const answer = jsonAnswer(200, { project: project.name, runs: reports });
    return { ...answer, headers: { ...answer.headers, ...told } };
  }
  const [first, ...beside] = files;
  const isOne = beside.length === 0;
  return {
    status: 200,
    headers: { ...(isOne ? fileHeaders(first, extension) : zipHeaders), ...told },
    body: isOne ? first.bytes : zipFiles(files),
  };
}
