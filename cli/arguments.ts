import { parseArgs } from 'node:util';
import { LONGEST_SEQUENCE } from '../src/core/motion/frame-range';
import { MANNER_DEFAULTS, MOST_OF_MANNER, type Manner } from '../src/engine/moving-objects';
import { REPEATED, type Repeated } from '../src/formats/format';
import { extensionOf, WRITERS } from '../src/formats/registry';

export const USAGE = `Usage: rattan bake project.json --out FILE.glb|.obj|.ply|.stl [options]

Works out the final geometry of a project's visible runs and writes it to a file.

  --out FILE       where to write; the ending chooses the format
  --run NAME       only the run of this name or id
  --time S         the state S seconds into the growth; without it, the finished run
  --guides         guides that are shown as well, which are left out otherwise
  --repeated HOW   pieces that keep their shape: plain (each for itself, the default), nodes (with one
                   mesh) or gpu (EXT_mesh_gpu_instancing); GLB only
  --report FILE    also write a report as JSON: metres, radians
  --frames-range A-B  a sequence: the frames from A to B, the first of the time being 1, each in a file
                   of its own with its number in its name, or all in one --out FILE.zip
  --fps F          frames per second of the sequence; without it, the project's own
  --format F       with --out FILE.zip: glb (the default), obj, ply or stl
  --moving HOW     with --out FILE.glb: one file that moves; what bends hangs on joints, or goes from shape
                   to shape (shapes), and pieces that keep their shape are nodes
  --most N         joints or shapes a course, about (64 and 24 without it)
  --frames N       with --report: N frames evenly spaced along each path (2 to 100000)
`;

/** Endings of files that are written. */
const ENDINGS = WRITERS.map(({ extensions }) => extensions[0]);

export interface BakeArguments {
  readonly project: string;
  readonly out: string;
  readonly run: string | undefined;
  readonly time: number | null;
  readonly report: string | undefined;
  readonly frames: number;
  readonly guides: boolean;
  readonly repeated: Repeated;
  /** Of a sequence. */
  readonly range: { readonly first: number; readonly last: number; readonly framesPerSecond?: number } | undefined;
  /** One GLB that moves, and how. */
  readonly moving: Manner | undefined;
  /** Of the files that are written. */
  readonly extension: string;
}

/** A call that cannot be understood; the command ends with exit code 2. */
export class UsageError extends Error {}

/** Throws {@link UsageError}. */
export function readArguments(args: readonly string[]): BakeArguments {
  const { values, positionals } = parse(args);
  const [command, project, ...rest] = positionals;
  if (command !== 'bake') throw new UsageError(command ? `There is no command ${command}.` : 'A command is missing.');
  if (!project) throw new UsageError('The project file is missing.');
  if (rest.length > 0) throw new UsageError(`One project file at a time: ${rest.join(' ')} is too much.`);
  if (!values.out) throw new UsageError('--out FILE is missing.');
  const range = rangeOf(
    values['frames-range'],
    number(values.fps, '--fps', (n) => n >= 1 && n <= 240),
  );
  const ending = extensionOf(values.out);
  const isZip = ending === 'zip';
  if (isZip && !range) throw new UsageError(`--out ${values.out}: a zip holds a sequence, by --frames-range A-B.`);
  const extension = isZip ? (values.format ?? 'glb') : ending;
  if (!ENDINGS.includes(extension)) {
    if (isZip) throw new UsageError(`--format ${extension}: take ${ENDINGS.join(', ')}.`);
    throw new UsageError(`--out ${values.out}: the file must end in ${ENDINGS.map((own) => `.${own}`).join(', ')}.`);
  }
  const moving = movingOf(values.moving, values.most);
  if (moving && (!range || extension !== 'glb' || isZip))
    throw new UsageError('--moving makes one .glb of the frames of --frames-range A-B.');
  if (range && values.time !== undefined) throw new UsageError('--time is one moment, --frames-range many: take one.');
  if (range && values.report) throw new UsageError('--report is of one state: leave out --frames-range.');
  const frames = number(values.frames, '--frames', (n) => Number.isInteger(n) && n >= 2 && n <= 100_000) ?? 0;
  if (frames > 0 && !values.report) throw new UsageError('--frames needs --report FILE to write them to.');
  const time = number(values.time, '--time', (n) => n >= 0) ?? null;
  return {
    project,
    out: values.out,
    run: values.run,
    time,
    report: values.report,
    frames,
    guides: values.guides === true,
    repeated: repeatedOf(values.repeated),
    range,
    moving,
    extension,
  };
}

function parse(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        out: { type: 'string' },
        run: { type: 'string' },
        time: { type: 'string' },
        report: { type: 'string' },
        frames: { type: 'string' },
        guides: { type: 'boolean' },
        repeated: { type: 'string' },
        'frames-range': { type: 'string' },
        fps: { type: 'string' },
        format: { type: 'string' },
        moving: { type: 'string' },
        most: { type: 'string' },
      },
    });
  } catch (error) {
    throw new UsageError(error instanceof Error ? error.message : String(error));
  }
}

function rangeOf(text: string | undefined, framesPerSecond: number | undefined): BakeArguments['range'] {
  if (text === undefined) {
    if (framesPerSecond !== undefined) throw new UsageError('--fps needs --frames-range A-B.');
    return undefined;
  }
  const [first, last] = (/^(\d+)-(\d+)$/.exec(text) ?? []).slice(1).map(Number) as [number?, number?];
  if (!first || !last || last < first || last - first >= LONGEST_SEQUENCE)
    throw new UsageError(
      `--frames-range ${text}: two numbers from 1 on, such as 1-120, at most ${LONGEST_SEQUENCE} frames.`,
    );
  return { first, last, ...(framesPerSecond !== undefined && { framesPerSecond }) };
}

function movingOf(text: string | undefined, most: string | undefined): Manner | undefined {
  const count = number(most, '--most', (n) => Number.isInteger(n) && n >= 2 && n <= MOST_OF_MANNER);
  if (text === undefined && most !== undefined) throw new UsageError('--most needs --moving HOW.');
  if (text === undefined) return undefined;
  if (text !== 'joints' && text !== 'shapes') throw new UsageError(`--moving ${text}: take joints or shapes.`);
  return { by: text, most: count ?? MANNER_DEFAULTS[text] };
}

function repeatedOf(text: string | undefined): Repeated {
  const found = REPEATED.find((how) => how === (text ?? 'plain'));
  if (!found) throw new UsageError(`--repeated ${text}: take ${REPEATED.join(', ')}.`);
  return found;
}

function number(text: string | undefined, name: string, allowed: (n: number) => boolean): number | undefined {
  if (text === undefined) return undefined;
  const n = text.trim() === '' ? NaN : Number(text);
  if (!Number.isFinite(n) || !allowed(n)) throw new UsageError(`${name} ${text}: not a number that fits.`);
  return n;
}
