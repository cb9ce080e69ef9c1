import { cross, type Vec3 } from '../math/vec3';
import { fail, ok, type Result } from '../math/result';
import { ON_PLANE_RELATIVE } from '../math/tolerance';
import { boxMiddle, boxOf, boxSize } from '../mesh/box';
import type { Mesh } from '../mesh/mesh';
import { sortedAlongX } from '../mesh/reorder';
import { turnInsideOut } from '../mesh/clean/turn-inside-out';
import { usedVertices } from '../mesh/used-vertices';
import { closeAt } from './close-at';
import { cutBetween } from './cut-off';
import { axisVector, findAxes, type NamedAxes } from './find-axes';
import { matchSeams } from './match-seams';
import { principalAxes, type AxisFrame } from './principal-axes';
import { endsMatch, withoutEnds } from './open-ends';
import type { PreparedSegment } from './prepared-segment';
import { findRows } from './rows';
import type { PrepareSpec } from './segment-spec';
import { sliceSegment } from './slice';
import { mergeZones, type StiffZone } from './stiff-zones';

/**
 * Turns, scales and moves a mesh into segment space and sorts it along x. Turns and scales are built into the vertices, so that nothing
 * is left that a bend could skew. Problems: `segment.empty`, `segment.flat` (no length along forward).
 */
export function prepareSegment(mesh: Mesh, spec: PrepareSpec): Result<PreparedSegment> {
  if (mesh.indices.length === 0) return fail('segment.empty');
  const raw = boxOf(mesh.positions);
  const { axes, frame } = chooseFrame(mesh, boxSize(raw), spec);
  const turned = turn(mesh, frame, spec);
  const box = boxOf(turned.positions);
  const size = boxSize(box);
  if (!(size[0] > 0)) return fail('segment.flat', { axis: axes.forward });
  const scale = spec.size ? spec.size.metres / (size[SIZE_AXIS[spec.size.of]] || 1) : 1;
  const middle = boxMiddle(box);
  const dy = (spec.centre === 'own' ? 0 : spec.centre === 'middle' ? middle[1] : box.min[1]) * scale - spec.offsetUp;
  const dz = (spec.centre === 'own' ? 0 : middle[2]) * scale - spec.offsetSide;
  const { positions } = turned;
  for (let i = 0; i < positions.length; i += 3) {
    positions[i] = (positions[i] - box.min[0]) * scale;
    positions[i + 1] = positions[i + 1] * scale - dy;
    positions[i + 2] = positions[i + 2] * scale - dz;
  }
  const length = Math.fround(size[0] * scale);
  const sorted = finishEnds(sortedAlongX(turned), length, spec);
  const { mesh: fitted, fit } = matchSeams(sorted, findRows(sorted.positions, length), spec.seams);
  const min = raw.min.map((v) => v * spec.unit) as [number, number, number];
  const max = raw.max.map((v) => v * spec.unit) as [number, number, number];
  const rows = findRows(fitted.positions, length);
  const stiff = soundZones(spec.stiff, length);
  const whole: PreparedSegment = {
    mesh: fitted,
    length,
    box: boxOf(fitted.positions),
    rows,
    endsMatch: endsMatch({ mesh: fitted, rows }),
    seam: fit,
    stiff,
    axes,
    sourceBox: { min, max },
  };
  // Rows where stiff zones begin and end, so that nothing but the zone keeps its shape.
  const edges = stiff.flatMap(({ from, to }) => [from, to]);
  return ok(cutInThree(sliceSegment(whole, Float64Array.from(edges)), spec));
}

/** The zones within the segment, ascending; those that touch are one. */
function soundZones(zones: PrepareSpec['stiff'], length: number): StiffZone[] {
  const inside = zones.map(({ from, to }) => ({ from: Math.min(from, to), to: Math.min(Math.max(from, to), length) }));
  return mergeZones(inside.filter(({ from, to }) => to > from));
}

/** Cuts off head and tail where the spec asks for them and a body is left. */
function cutInThree(segment: PreparedSegment, { head, tail }: PrepareSpec): PreparedSegment {
  const { length } = segment;
  if ((head <= 0 && tail <= 0) || head + tail >= length * (1 - 1e-6)) return segment;
  return {
    ...segment,
    cut: {
      ...(head > 0 && { head: cutBetween(segment, 0, head) }),
      body: cutBetween(segment, head, length - tail),
      ...(tail > 0 && { tail: cutBetween(segment, length - tail, length) }),
    },
  };
}

const SIZE_AXIS = { length: 0, height: 1, width: 2 } as const;

/** The mesh's directions that become forward, up and side, with the turns that were asked for on top. */
function chooseFrame(mesh: Mesh, size: Vec3, spec: PrepareSpec): { axes: NamedAxes; frame: AxisFrame } {
  const { forward, up } = spec;
  let axes: NamedAxes = { forward: 'principal', up: 'principal' };
  let frame: AxisFrame;
  if (forward === 'principal') frame = principalAxes(mesh);
  else {
    const chosen = findAxes(size, { forward, up });
    axes = chosen;
    const [f, u] = [axisVector(chosen.forward), axisVector(chosen.up)];
    frame = [f, u, cross(f, u)];
  }
  const back = (v: Vec3): Vec3 => [-v[0], -v[1], -v[2]];
  let [f, u, s] = frame;
  if (spec.reversed) [f, s] = [back(f), back(s)];
  for (let q = 0; q < spec.quarters; q++) [u, s] = [s, back(u)];
  return { axes, frame: [f, u, s] };
}

/** The mesh in the frame's directions and in metres; mirrored, its triangles run the other way. */
function turn(mesh: Mesh, frame: AxisFrame, { unit, mirrored }: PrepareSpec): Mesh {
  const { positions, normals } = mesh;
  const turned = new Float32Array(positions.length);
  const turnedNormals = new Float32Array(positions.length);
  for (let c = 0; c < 3; c++) {
    const sign = mirrored && c === 2 ? -1 : 1;
    const [a, b, d] = frame[c].map((v) => v * sign) as [number, number, number];
    for (let i = 0; i < positions.length; i += 3) {
      turned[i + c] = (a * positions[i] + b * positions[i + 1] + d * positions[i + 2]) * unit;
      turnedNormals[i + c] = a * normals[i] + b * normals[i + 1] + d * normals[i + 2];
    }
  }
  const out = { ...mesh, positions: turned, normals: turnedNormals };
  if (!mirrored) return out;
  const flipped = turnInsideOut(out);
  return { ...flipped, normals: turnedNormals };
}

/** Opens or closes the flat ends; snaps vertices of the first and last row into them. */
function finishEnds(mesh: Mesh, length: number, { ends }: PrepareSpec): Mesh {
  if (ends === 'keep') return mesh;
  const near = length * ON_PLANE_RELATIVE * 2;
  if (ends === 'close') return usedVertices(closeAt(closeAt(mesh, 0, near, -1), length, near, 1));
  return withoutEnds(mesh, findRows(mesh.positions, length), ['start', 'end']);
}
