import { XMLParser } from 'fast-xml-parser';
import svgpath from 'svgpath';
import { fail, ok, type Result } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';
import { CubicLegs } from './cubic-legs';
import { arcOf, type ArcValues } from './svg-arc';
import { frameOf, lengthOf, placing, unitOf, type Attributes, type Frame } from './svg-lengths';
import { definePathReader, textOf, type BroughtPath, type BroughtPaths } from './path-format';

interface Element {
  readonly tag: string;
  readonly attributes: Attributes;
  readonly children: readonly Element[];
}

/** Elements within each other at the most. */
const DEEPEST = 256;
/** Above the outermost element there is no transform. */
const OUTERMOST = '';
const SKIPPED = new Set(['defs', 'clippath', 'mask', 'symbol', 'pattern', 'marker']);

/**
 * Paths and basic shapes of an SVG with all their commands and transforms (SVG 2, chapters 8 to 10), y turned up. A size in a unit of
 * length tells the scale. Problems: `svg.broken` with `reason`, `svg.path` with `text`, `paths.none`.
 */
export const svg = definePathReader({
  kind: 'svg',
  label: 'SVG',
  extensions: ['svg'],
  read(file): Result<BroughtPaths> {
    let root: Element | undefined;
    try {
      const parser = new XMLParser({ preserveOrder: true, ignoreAttributes: false, attributeNamePrefix: '' });
      root = toElements(parser.parse(textOf(file), true) as unknown[]).find(({ tag }) => tag === 'svg');
    } catch (error) {
      return fail('svg.broken', { file: file.name, reason: error instanceof Error ? error.message : String(error) });
    }
    if (!root) return fail('svg.broken', { file: file.name, reason: 'there is no svg element' });
    const paths: BroughtPath[] = [];
    const problem = gather(root, OUTERMOST, { width: 100, height: 100 }, paths);
    if (problem) return problem;
    if (!paths.every(({ points }) => points.every(({ position }) => position.every(Number.isFinite))))
      return fail('svg.broken', { file: file.name, reason: 'it has places that are no numbers' });
    if (paths.length === 0) return fail('paths.none', { file: file.name });
    const unit = unitOf(root.attributes);
    return ok({ paths, isFlat: true, ...(unit !== undefined && { unit }) });
  },
});

function toElements(nodes: unknown[], deep = 0): Element[] {
  if (deep > DEEPEST) throw new Error(`its elements lie more than ${DEEPEST} deep`);
  return nodes.flatMap((node) => {
    const { ':@': attributes = {}, ...rest } = node as Record<string, unknown>;
    const [tag, children] = Object.entries(rest)[0] ?? [];
    if (!tag || tag.startsWith('#') || tag.startsWith('?')) return [];
    const name = tag.replace(/^.*:/, '').toLowerCase();
    const below = toElements(Array.isArray(children) ? children : [], deep + 1);
    return [{ tag: name, attributes: attributes as Attributes, children: below }];
  });
}

/** Whether an element and all in it are not drawn (SVG 2, section 11.3). */
const isHidden = ({ display, style = '' }: Attributes): boolean =>
  display?.trim() === 'none' || /(^|;)\s*display\s*:\s*none\b/.test(style);

function gather(
  { tag, attributes, children }: Element,
  above: string,
  frame: Frame,
  paths: BroughtPath[],
): ReturnType<typeof fail> | undefined {
  if (SKIPPED.has(tag) || isHidden(attributes)) return undefined;
  const inner = tag === 'svg' ? frameOf(attributes, frame) : undefined;
  const transform = `${above} ${attributes.transform ?? ''} ${inner && above !== OUTERMOST ? placing(attributes, inner, frame) : ''}`;
  const data = dataOf(tag, attributes, frame);
  if (data !== undefined) {
    const name = attributes.id ?? `${tag} ${paths.length + 1}`;
    try {
      paths.push(...subpaths(data, transform.trim(), name));
    } catch {
      return fail('svg.path', { text: data.slice(0, 60) });
    }
  }
  for (const child of children) {
    const problem = gather(child, transform || ' ', inner ?? frame, paths);
    if (problem) return problem;
  }
  return undefined;
}

/** What an element draws, as path data; undefined where it draws no line. */
function dataOf(tag: string, a: Attributes, frame: Frame): string | undefined {
  const n = (key: string, otherwise = 0) => lengthOf(a[key], key, frame) ?? otherwise;
  switch (tag) {
    case 'path':
      return a.d ?? '';
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
      return a.points?.trim() ? `M${a.points.trim()}` : '';
    case 'polygon':
      return a.points?.trim() ? `M${a.points.trim()}Z` : '';
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      const rx = Math.min(n('rx', n('ry')), w / 2);
      const ry = Math.min(n('ry', n('rx')), h / 2);
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
      const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}Z`;
    }
    case 'circle':
    case 'ellipse': {
      const [cx, cy, rx, ry] = [n('cx'), n('cy'), n('rx', n('r')), n('ry', n('r'))];
      return `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}Z`;
    }
    default:
      return undefined;
  }
}

function subpaths(data: string, transform: string, name: string): BroughtPath[] {
  const parsed = svgpath(data) as ReturnType<typeof svgpath> & { err?: string };
  if (parsed.err) throw new Error(parsed.err);
  const paths: BroughtPath[] = [];
  let legs: CubicLegs | undefined;
  let start: Vec3 = [0, 0, 0];
  const place = (x: number, y: number): Vec3 => [x, -y, 0];
  const finish = (closed = false) => {
    if (legs && legs.length > 1)
      paths.push(legs.build(paths.length > 0 ? `${name}, part ${paths.length + 1}` : name, closed));
    legs = undefined;
  };
  const going = () => (legs ??= new CubicLegs(start));
  parsed
    .transform(transform)
    .abs()
    .unshort()
    .iterate((segment, _, x, y) => {
      const [command, ...v] = segment as [string, ...number[]];
      const from = place(x, y);
      if (command === 'M') {
        finish();
        start = place(v[0]!, v[1]!);
        legs = new CubicLegs(start);
      } else if (command === 'Z' || command === 'z') {
        finish(true);
      } else if (command === 'C') {
        going().cubic(place(v[0]!, v[1]!), place(v[2]!, v[3]!), place(v[4]!, v[5]!));
      } else if (command === 'Q') {
        const [q, to] = [place(v[0]!, v[1]!), place(v[2]!, v[3]!)];
        going().cubic(twoThirds(from, q), twoThirds(to, q), to);
      } else if (command === 'A') {
        arcOf(going(), [x, y], v as unknown as ArcValues);
      } else if (command === 'H') going().line(place(v[0]!, y));
      else if (command === 'V') going().line(place(x, v[0]!));
      else if (command === 'L') going().line(place(v[0]!, v[1]!));
    });
  finish();
  return paths;
}

/** A quadratic's control as a cubic's. */
const twoThirds = (end: Vec3, q: Vec3): Vec3 => [
  end[0] + ((q[0] - end[0]) * 2) / 3,
  end[1] + ((q[1] - end[1]) * 2) / 3,
  0,
];
