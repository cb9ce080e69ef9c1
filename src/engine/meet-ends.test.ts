import type { CurveSpec } from '../core/curve/registry';
import type { Vec3 } from '../core/math/vec3';
import { manifoldOf } from '../core/testing/manifold';
import { pathOf } from '../core/testing/curves';
import { unwrap } from '../core/testing/runs';
import { MADE_PREPARE, newCourse, JOB_DEFAULTS } from '../project/defaults';
import { setMeets } from '../project/commands/runs';
import { emptyProject, type Guide, type Project } from '../project/schema';
import { bakeProject, loadFrom } from './bake';
import { Deriver } from './derive';
import { sourceOf } from './run-source';

const RADIUS = 0.2;
const SIDES = 64;
/** Of the regular polygon that stands for the circle. */
const SECTION = (SIDES / 2) * RADIUS * RADIUS * Math.sin((2 * Math.PI) / SIDES);

const wall = (id: string, position: Vec3, turn: Vec3): Guide => ({
  id,
  name: id,
  visible: true,
  shape: { from: 'body', kind: 'box', sizes: { x: 0.4, y: 20, z: 20 } },
  position: [position[0], position[1] - 10, position[2]],
  turn,
  clearance: null,
});

/** A closed pipe along a path, and walls. */
function piped(curve: CurveSpec, guides: readonly Guide[]): Project {
  return {
    ...emptyProject('pipe'),
    segments: [
      {
        id: 'bar',
        name: 'Bar',
        source: { from: 'maker', spec: { kind: 'tube', length: 1, radius: RADIUS, sides: SIDES } },
        prepare: MADE_PREPARE,
        finishes: [],
      },
    ],
    paths: [{ id: 'line', name: 'Line', curve }],
    runs: [{ id: 'run', name: 'Pipe', visible: true, path: 'line', ...JOB_DEFAULTS, courses: [newCourse('bar')] }],
    guides: [...guides],
  };
}

const deriver = () => new Deriver(loadFrom(new Map()));

/** The baked pipe with what is known of it. */
async function baked(project: Project) {
  const own = deriver();
  const derived = unwrap(await own.derive(unwrap(sourceOf(project, project.runs[0]))));
  const [object] = unwrap(await bakeProject(project, own, {})).scene;
  const { placements, reach } = derived.courses[0].laid.layout;
  return {
    mesh: object.mesh,
    first: placements[0],
    reach,
    found: derived.findings(),
    table: derived.table,
  };
}

const straight = pathOf('straight', [[0, 0, 0], [10, 0, 0]]); // prettier-ignore
const LEAN = 0.5;

/** How far places of a mesh lie from the plane through a place with a normal, beyond a station; metres. */
function beyond(positions: Float32Array, through: Vec3, normal: Vec3): number {
  let most = -Infinity;
  for (let i = 0; i < positions.length; i += 3)
    most = Math.max(
      most,
      [0, 1, 2].reduce((sum, c) => sum + (positions[i + c] - through[c]) * normal[c], 0),
    );
  return most;
}

describe('an end that meets a guide', () => {
  const face: Vec3 = [Math.cos(LEAN), 0, -Math.sin(LEAN)];
  /** A wall whose near face goes through (at, 0, 0), turned about y. */
  const leaning = (at: number) => wall('wall', [at + 0.2 * face[0], 0, 0.2 * face[2]], [0, LEAN, 0]);

  // An oblique cut through the axis of a straight prism takes as much away on one side as it leaves on the other (elementary geometry).
  it.each([8, 12])('is cut off, or drawn on, at %d m in the plane of the wall, watertight', async (at) => {
    const { mesh, reach, found } = await baked(setMeets(piped(straight, [leaning(at)]), 'run', 'end', 'wall'));
    expect(reach.to).toBeCloseTo(at, 6);
    expect(found).toEqual([]);
    expect((await manifoldOf(mesh)).volume() / (SECTION * at)).toBeCloseTo(1, 4);
    expect(beyond(mesh.positions, [at, 0, 0], face)).toBeCloseTo(0, 5);
    // All of the end's rim lies in the wall's face.
    const rim: number[] = [];
    for (let i = 0; i < mesh.positions.length; i += 3) {
      const [x, , z] = [0, 1, 2].map((c) => mesh.positions[i + c]) as [number, number, number];
      const off = Math.abs((x - at) * face[0] + z * face[2]);
      if (off < 1e-5) rim.push(z);
    }
    expect(rim.length).toBeGreaterThanOrEqual(SIDES);
    expect(Math.max(...rim)).toBeCloseTo(RADIUS, 4);
  });

  it('is met at the start as well, and both at once', async () => {
    const project = piped(straight, [leaning(8), wall('other', [1 - 0.2, 0, 0], [0, 0, 0])]);
    const { mesh, reach } = await baked(setMeets(setMeets(project, 'run', 'end', 'wall'), 'run', 'start', 'other'));
    expect([reach.from, reach.to]).toEqual([expect.closeTo(1, 6), expect.closeTo(8, 6)]);
    expect((await manifoldOf(mesh)).volume() / (SECTION * 7)).toBeCloseTo(1, 4);
  });

  it('is drawn on before the start of the path as it is behind its end, watertight', async () => {
    const project = piped(straight, [wall('other', [-2 - 0.2, 0, 0], [0, 0, 0])]);
    const { mesh, reach, found, first } = await baked(setMeets(project, 'run', 'start', 'other'));
    expect(reach.from).toBeCloseTo(-2, 6);
    expect(first.station).toBeCloseTo(-2, 6);
    expect(found).toEqual([]);
    expect((await manifoldOf(mesh)).volume() / (SECTION * 12)).toBeCloseTo(1, 4);
    expect(beyond(mesh.positions, [-2, 0, 0], [-1, 0, 0])).toBeCloseTo(0, 5);
  });

  it('is drawn straight on from a bend by the direction that the path ends with', async () => {
    const curve = pathOf('smooth', [[0, 0, 0], [4, 0, 0], [6, 0, 3]]); // prettier-ignore
    const { mesh, reach } = await baked(setMeets(piped(curve, [wall('wall', [-3.2, 0, 0], [0, 0, 0])]), 'run', 'start', 'wall')); // prettier-ignore
    expect(reach.from).toBeLessThan(-2.9);
    // Nothing of it lies behind the wall's face, and its rim lies in it.
    expect(beyond(mesh.positions, [-3, 0, 0], [-1, 0, 0])).toBeCloseTo(0, 3);
    expect((await manifoldOf(mesh)).genus()).toBe(0);
  });

  it('lies on the surface of a ball that a bent path runs into', async () => {
    const curve = pathOf('smooth', [[0, 0, 0], [4, 0, 1], [7, 0, 4], [8, 0, 9]]); // prettier-ignore
    const ball: Guide = {
      ...wall('ball', [8, 10, 9], [0, 0, 0]),
      shape: { from: 'body', kind: 'ball', sizes: { radius: 2 } },
    };
    const { reach, table, mesh } = await baked(setMeets(piped(curve, [ball]), 'run', 'end', 'ball'));
    expect(reach.to).toBeLessThan(table.length);
    expect((await manifoldOf(mesh)).volume()).toBeGreaterThan(0);
    const own = table.stations.findIndex((s) => s >= reach.to);
    const place = [0, 1, 2].map((c) => table.frames[own * 16 + c]);
    expect(Math.hypot(place[0] - 8, place[1], place[2] - 9)).toBeCloseTo(2, 0);
  });

  it('tells when it cannot, and lies as it did; a guide that is gone is none', async () => {
    const aside = wall('wall', [5, 0, 40], [0, 0, 0]);
    const { reach, found } = await baked(setMeets(piped(straight, [aside]), 'run', 'end', 'wall'));
    expect(reach.to).toBe(10);
    expect(found.map(({ check }) => check)).toEqual(['endUnmet']);
    expect((await baked(setMeets(piped(straight, [aside]), 'run', 'end', 'nobody'))).found).toEqual([]);
  });
});
