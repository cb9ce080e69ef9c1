import { movePoint } from '../core/edit/move-point';
import type { CurveSpec } from '../core/curve/registry';
import { fillFrame } from '../core/frames/fill-frame';
import { FRAME_STRIDE, UP } from '../core/frames/frame-table';
import type { Vec3 } from '../core/math/vec3';
import { unwrap } from '../core/testing/runs';
import { PathStage } from './path-stage';
import { StageCache } from './stage-cache';

const TOLERANCE = 0.0005;
/** A long path with one bend that is far sharper than the others. */
const path = (): CurveSpec => ({
  kind: 'smooth',
  closed: false,
  points: Array.from({ length: 400 }, (_, i) => ({
    position: [i * 2, Math.sin(i * 0.4), i === 200 ? 2.5 : Math.cos(i / 5)] as Vec3,
  })),
});

describe('a long path that is dragged', () => {
  it.each(['upright', 'leastTwist', 'faceBend'] as const)(
    'is followed though it comes as a copy, and is built anew when it is let go: %s',
    (rule) => {
      const paths = new PathStage(new StageCache());
      const ask = (curve: CurveSpec, isDragged = false) =>
        unwrap(paths.table({ curve, frames: { rule, up: [0, 1, 0] }, tolerance: TOLERANCE, isDragged }));
      ask(path());
      // As comlink brings it: nothing of it is the very thing of before.
      const straighter = structuredClone(movePoint(path(), 200, [400, Math.sin(80), Math.cos(40)]));
      const dragged = ask(straighter, true);
      const anew = ask(straighter);
      // Followed, only touched legs are measured: lengths differ by rounding, and no more.
      expect(dragged.length).toBeCloseTo(anew.length, 7);
      expect(dragged.length).not.toBe(anew.length);
      const [a, b] = [new Float64Array(FRAME_STRIDE), new Float64Array(FRAME_STRIDE)];
      for (let s = 0; s <= anew.length; s += 0.37) {
        fillFrame(a, 0, dragged, s);
        fillFrame(b, 0, anew, s);
        const off = (at: number) => Math.hypot(a[at] - b[at], a[at + 1] - b[at + 1], a[at + 2] - b[at + 2]);
        if (off(0) > TOLERANCE / 5) throw new Error(`${off(0)} m apart at station ${s}`);
        if (off(UP) > 5e-3) throw new Error(`up is ${off(UP)} off at station ${s}`);
      }
    },
  );
});
