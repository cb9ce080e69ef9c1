import svgpath from 'svgpath';
import type { Vec3 } from '../../core/math/vec3';
import { CubicLegs } from './cubic-legs';
import type { BroughtPath } from './path-format';
import { arcOf, type ArcValues } from './svg-arc';
import { lengthOf, type Attributes, type Frame } from './svg-lengths';

/** What an element draws, as path data; undefined where it draws no line. */
export function dataOf(tag: string, a: Attributes, frame: Frame): string | undefined {
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

/** The lines of path data, y turned up. Throws where the data make no sense. */
export function subpaths(data: string, transform: string, name: string): BroughtPath[] {
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
        start = place(v[0], v[1]);
        legs = new CubicLegs(start);
      } else if (command === 'Z' || command === 'z') {
        finish(true);
      } else if (command === 'C') {
        going().cubic(place(v[0], v[1]), place(v[2], v[3]), place(v[4], v[5]));
      } else if (command === 'Q') {
        const [q, to] = [place(v[0], v[1]), place(v[2], v[3])];
        going().cubic(twoThirds(from, q), twoThirds(to, q), to);
      } else if (command === 'A') {
        arcOf(going(), [x, y], v as unknown as ArcValues);
      } else if (command === 'H') going().line(place(v[0], y));
      else if (command === 'V') going().line(place(x, v[0]));
      else if (command === 'L') going().line(place(v[0], v[1]));
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
