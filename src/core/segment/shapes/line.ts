import { carryUp, setUp } from '../../frames/double-reflection';
import { FORWARD, FRAME_STRIDE, UP } from '../../frames/frame-table';
import { add, anyNormal, cross, normalize, scale, sub, type Vec3 } from '../../math/vec3';

/** A place on a centre line with two directions square to it and to each other; forward = normal x binormal turned round. */
export interface LineFrame {
  readonly centre: Vec3;
  readonly normal: Vec3;
  readonly binormal: Vec3;
}

/** A centre line over t; may be asked a little beyond 0 and 1. */
export interface Line {
  centre(t: number): Vec3;
  frame(t: number): LineFrame;
}

/** How a line's frame moves at a place: metres and radians per unit of t. */
export interface Motion {
  readonly frame: LineFrame;
  readonly velocity: Vec3;
  readonly spin: Vec3;
}

/** A line that others can wind about. */
export interface MovingLine extends Line {
  motion(t: number): Motion;
}

/** From x = 0 to x = length along the path. */
export function straightLine(length: number): MovingLine {
  const frame = (t: number): LineFrame => ({ centre: [length * t, 0, 0], normal: [0, 1, 0], binormal: [0, 0, 1] });
  return {
    centre: (t) => [length * t, 0, 0],
    frame,
    motion: (t) => ({ frame: frame(t), velocity: [length, 0, 0], spin: [0, 0, 0] }),
  };
}

const STEP = 1e-5;

/** The direction in which a line runs, by central differences: good to some 1e-9. */
export function lineForward(line: Pick<Line, 'centre'>, t: number): Vec3 {
  return normalize(sub(line.centre(t + STEP), line.centre(t - STEP)));
}

/**
 * A line that winds about another: `turns` over t from 0 to 1, positive = right-handed (Z). The normal points away from the other.
 * Its direction follows from the other's velocity and spin; its own spin, for lines about it, from differences.
 */
export function helixAround(around: MovingLine, radius: number, phase: number, turns: number): MovingLine {
  const rate = 2 * Math.PI * turns;
  const frame = (t: number): LineFrame & { velocity: Vec3 } => {
    const { frame: own, velocity, spin } = around.motion(t);
    const angle = phase + rate * t;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const out = add(scale(own.normal, c), scale(own.binormal, s));
    const round = sub(scale(own.binormal, c), scale(own.normal, s));
    const moved = add(velocity, scale(add(cross(spin, out), scale(round, rate)), radius));
    const forward = normalize(moved);
    const binormal = normalize(cross(forward, out));
    return { centre: add(own.centre, scale(out, radius)), normal: cross(binormal, forward), binormal, velocity: moved };
  };
  return {
    centre: (t) => frame(t).centre,
    frame,
    motion(t) {
      const here = frame(t);
      const [a, b] = [frame(t - STEP), frame(t + STEP)];
      const change = (key: 'normal' | 'binormal') => scale(sub(b[key], a[key]), 1 / (2 * STEP));
      const forward = (f: LineFrame) => cross(f.normal, f.binormal);
      const turning = scale(sub(forward(b), forward(a)), 1 / (2 * STEP));
      // Half the sum of each axis crossed with its change is the angular velocity.
      const spin = add(
        add(cross(here.normal, change('normal')), cross(here.binormal, change('binormal'))),
        cross(forward(here), turning),
      );
      return { frame: here, velocity: here.velocity, spin: scale(spin, 0.5) };
    },
  };
}

/** A flat line from points on it, `up` square to its plane. */
export function lineThrough(centre: (t: number) => Vec3, up: Vec3): Line {
  return {
    centre,
    frame(t) {
      const forward = lineForward({ centre }, t);
      const binormal = normalize(cross(forward, up));
      return { centre: centre(t), normal: cross(binormal, forward), binormal };
    },
  };
}

/** A line with frames of least twist at the given t, ascending; it has frames nowhere else. */
export function leastTwistLine(centre: (t: number) => Vec3, ts: readonly number[]): Line {
  const frames = new Float64Array(ts.length * FRAME_STRIDE);
  const place = new Map<number, number>();
  ts.forEach((t, i) => {
    place.set(t, i);
    const forward = lineForward({ centre }, t);
    frames.set(centre(t), i * FRAME_STRIDE);
    frames.set(forward, i * FRAME_STRIDE + FORWARD);
    if (i > 0) carryUp(frames, i - 1, i);
    else setUp(frames, 0, ...anyNormal(forward));
  });
  const take = (at: number): Vec3 => [frames[at], frames[at + 1], frames[at + 2]];
  return {
    centre,
    frame(t) {
      const i = place.get(t);
      if (i === undefined) throw new RangeError(`leastTwistLine: no frame at ${t}`);
      const at = i * FRAME_STRIDE;
      const normal = take(at + UP);
      return { centre: take(at), normal, binormal: cross(take(at + FORWARD), normal) };
    },
  };
}

/** Length of a line by chords, metres: a thousandth of a turn long, so that the shortfall stays below some 1e-6. */
export function lineLength(line: Pick<Line, 'centre'>, chords: number): number {
  let length = 0;
  let before = line.centre(0);
  for (let i = 1; i <= chords; i++) {
    const here = line.centre(i / chords);
    length += Math.hypot(here[0] - before[0], here[1] - before[1], here[2] - before[2]);
    before = here;
  }
  return length;
}
