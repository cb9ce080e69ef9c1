import { SaxesParser } from 'saxes';
import type { OnProgress } from '../../core/math/progress';
import { fail, ok, type Result } from '../../core/math/result';
import { MOST_POINTS, tooManyPoints } from './most-points';
import { textOf, type BroughtPath, type ReadPaths } from './path-format';
import { frameOf, placing, unitOf, type Attributes, type Frame } from './svg-lengths';
import { dataOf, subpaths } from './svg-shapes';

/** Elements within each other at the most. */
const DEEPEST = 256;
/** Characters that are read at a time. */
const STRETCH = 0x100000;
const SKIPPED = new Set(['defs', 'clippath', 'mask', 'symbol', 'pattern', 'marker']);

/** What holds within an element. */
interface Level {
  readonly transform: string;
  readonly frame: Frame;
  readonly isHidden: boolean;
}

/** Why reading stops. */
class Stop extends Error {
  constructor(readonly result: Extract<Result<never>, { ok: false }>) {
    super('stopped');
  }
}

/**
 * Paths and basic shapes of an SVG with all their commands and transforms (SVG 2, chapters 8 to 10), y turned up. A size in a unit of
 * length tells the scale. Problems: `svg.broken` with `reason`, `svg.path` with `text`, `paths.too-many-points`, `paths.none`.
 */
export const readSvg: ReadPaths = (file, onProgress) => {
  try {
    const { paths, unit } = gather(file.name, textOf(file), onProgress);
    return paths.length > 0
      ? ok({ paths, isFlat: true, ...(unit !== undefined && { unit }) })
      : fail('paths.none', { file: file.name });
  } catch (error) {
    if (error instanceof Stop) return error.result;
    const reason = error instanceof Error ? error.message.split('\n')[0] : String(error);
    return fail('svg.broken', { file: file.name, reason });
  }
};

/** Throws {@link Stop}, and what the parser throws. */
function gather(file: string, text: string, onProgress: OnProgress = () => {}) {
  const paths: BroughtPath[] = [];
  const levels: Level[] = [];
  let root: Attributes | undefined;
  let points = 0;
  const parser = new SaxesParser();
  parser.on('error', (error) => {
    throw error;
  });
  // Entities that stand for plain text; those that hold others stay unknown, and so are refused.
  parser.on('doctype', (doctype) => {
    for (const [, name, value] of doctype.matchAll(/<!ENTITY\s+([\w.-]+)\s+"([^"&%<]*)"\s*>/g))
      parser.ENTITIES[name] = value!;
  });
  parser.on('opentag', ({ name, attributes }) => {
    if (levels.length > DEEPEST) throw new Error(`its elements lie more than ${DEEPEST} deep`);
    const tag = name.replace(/^.*:/, '').toLowerCase();
    const own = attributes as Attributes;
    const above = levels[levels.length - 1];
    if (!above && tag !== 'svg') throw new Error('there is no svg element');
    root ??= own;
    const level = levelOf(tag, own, above);
    levels.push(level);
    const data = level.isHidden ? undefined : dataOf(tag, own, level.frame);
    if (data === undefined) return;
    if (numbersIn(data) > 2 * MOST_POINTS) throw new Stop(tooManyPoints(file));
    for (const path of linesOf(data, level.transform, own.id ?? `${tag} ${paths.length + 1}`)) {
      points += path.points.length;
      paths.push(path);
    }
    if (points > MOST_POINTS) throw new Stop(tooManyPoints(file));
  });
  parser.on('closetag', () => void levels.pop());
  for (let at = 0; at < text.length; at += STRETCH) {
    onProgress(at / text.length);
    parser.write(text.slice(at, at + STRETCH));
  }
  parser.close();
  if (!root) throw new Error('there is no svg element');
  return { paths, unit: unitOf(root) };
}

function levelOf(tag: string, own: Attributes, above: Level | undefined): Level {
  const outer = above?.frame ?? { width: 100, height: 100 };
  const frame = tag === 'svg' ? frameOf(own, outer) : outer;
  const placed = tag === 'svg' && above ? placing(own, frame, outer) : '';
  return {
    transform: `${above?.transform ?? ''} ${own.transform ?? ''} ${placed}`.trim(),
    frame,
    isHidden: above?.isHidden === true || SKIPPED.has(tag) || isHidden(own),
  };
}

/** Whether an element and all in it are not drawn (SVG 2, section 11.3). */
const isHidden = ({ display, style = '' }: Attributes): boolean =>
  display?.trim() === 'none' || /(^|;)\s*display\s*:\s*none\b/.test(style);

function linesOf(data: string, transform: string, name: string): readonly BroughtPath[] {
  try {
    const paths = subpaths(data, transform, name);
    if (paths.every(({ points }) => points.every(({ position }) => position.every(Number.isFinite)))) return paths;
  } catch {
    // told below
  }
  throw new Stop(fail('svg.path', { text: data.slice(0, 60) }));
}

/** How many numbers path data hold, at the most. */
function numbersIn(data: string): number {
  let count = 0;
  let isIn = false;
  for (let i = 0; i < data.length; i++) {
    const c = data.charCodeAt(i);
    const isDigit = (c >= 48 && c <= 57) || c === 46;
    if (isDigit && !isIn) count++;
    isIn = isDigit;
  }
  return count;
}
