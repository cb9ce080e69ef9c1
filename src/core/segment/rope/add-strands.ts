import type { MeshBuilder } from '../../mesh/mesh-builder';
import { helixAround, type MovingLine } from '../shapes/line';
import { sweepRows } from '../shapes/sweep';
import { circleSides, type Smoothness } from '../smoothness';
import { layAngle, type RopeSizes } from './rope-geometry';

export interface Strands extends RopeSizes {
  readonly strands: number;
  readonly yarns: number;
  readonly core: boolean;
  readonly smoothness: Smoothness;
  /** Turns over the whole line, positive = Z. */
  readonly turns: number;
  /** Length of the line, metres. */
  readonly metres: number;
  /** What each strand is itself: absent = a bar, or yarns. */
  readonly within?: Strands;
}

/** Adds the strands of a rope about a line. Materials: 0 and 1 take turns, 2 for the core. */
export function addStrands(builder: MeshBuilder, line: MovingLine, rope: Strands, xs: readonly number[]): void {
  const { strands, strandSize, helixRadius, turns, metres, smoothness, within, yarns } = rope;
  const length = metres * Math.hypot(1, (2 * Math.PI * helixRadius * Math.abs(turns)) / metres);
  for (let i = 0; i < strands; i++) {
    const strand = helixAround(line, helixRadius, (2 * Math.PI * i) / strands, turns);
    if (within) addStrands(builder, strand, within, xs);
    else if (yarns >= 2) addYarns(builder, strand, rope, length, xs);
    else {
      const sides = circleSides(strandSize / 2, smoothness);
      sweepRows(builder, { line: strand, radius: strandSize / 2, sides, length, part: 'Strands', material: i % 2 }, xs);
    }
  }
  const coreRadius = helixRadius - strandSize / 2;
  if (rope.core && coreRadius > strandSize * 0.02) {
    const sides = circleSides(coreRadius, smoothness);
    sweepRows(builder, { line, radius: coreRadius, sides, length: metres, part: 'Core', material: 2 }, xs);
  }
}

/**
 * The yarns of a strand, wound against it (common practice, no source) at some half of the strand's own lay angle, with a whole
 * number of turns: they then lie nearly along the rope where they are seen, and never turn back on the inner side.
 */
function addYarns(
  builder: MeshBuilder,
  strand: MovingLine,
  rope: Strands,
  length: number,
  xs: readonly number[],
): void {
  const { yarns, strandSize, smoothness, turns } = rope;
  const half = Math.sin(Math.PI / yarns);
  const radius = ((strandSize / 2) * half) / (1 + half);
  const helix = strandSize / 2 - radius;
  const back = Math.max(Math.floor((Math.tan(layAngle(rope) * 0.55) * length) / (2 * Math.PI * helix)), 1);
  const sides = circleSides(radius, smoothness);
  for (let k = 0; k < yarns; k++) {
    const yarn = helixAround(strand, helix, (2 * Math.PI * k) / yarns, -Math.sign(turns) * back);
    const metres = Math.hypot(length, 2 * Math.PI * helix * back);
    sweepRows(builder, { line: yarn, radius, sides, length: metres, part: 'Strands', material: k % 2 }, xs);
  }
}
