import { endOf, isEndKept } from '../../core/edit/end-leg';
import { CURVE_KINDS, type CurveSpec } from '../../core/curve/registry';
import { mouthOf } from '../../core/guides/build-guide';
import { distance, scale, type Vec3 } from '../../core/math/vec3';
import { pathOf } from '../../core/testing/curves';
import { emptyProject, projectSchema, type Guide, type Path, type Project } from '../schema';
import { changeGuide, deleteGuide } from './guides';
import { changeCurve, deletePoints, makeEndStraight, moveHandle, movePoint, transform } from './paths';
import { reverse } from './path-runs';
import { holdPlugs, mouthsBeside, plugEnd, releaseEnd } from './plugs';

const BEND: Vec3[] = [[0, 0, 0], [4, 1, -2], [8, 0, 3], [12, 0.5, 1]]; // prettier-ignore
const socket: Guide = {
  id: 'socket',
  name: 'Socket',
  visible: true,
  shape: { from: 'body', kind: 'socket', sizes: {} },
  position: [14, 2, -1],
  turn: [0.4, 0, -0.7],
  clearance: null,
};
const KINDS = CURVE_KINDS.filter(({ group }) => group === 'points').map(({ kind }) => kind);
const plugged = (kind: CurveSpec['kind'] = 'smooth'): Project => {
  const path = { id: 'hose', name: 'Hose', curve: pathOf(kind, BEND, false, 0.4) as Path['curve'] };
  const project = { ...emptyProject('Plugs'), paths: [path], guides: [socket] };
  return plugEnd(project, 'hose', 'end', mouthsBeside(project, 'hose')[0])!;
};
const curveOf = (project: Project, id = 'hose') => project.paths.find((p) => p.id === id)!.curve as CurveSpec;
const edited = (project: Project, change: (p: Project) => Project) => holdPlugs(project, change(project));
/** How far the end is from its mouth, and from going straight in. */
function off(project: Project): [number, number] {
  const mouth = mouthOf(project.guides[0]);
  const end = endOf(curveOf(project), 'end')!;
  return [distance(end.position, mouth.position), distance(end.direction, scale(mouth.direction, -1))];
}

describe.each(KINDS)('a plugged end of a path of kind %s', (kind) => {
  it('stays plugged while the points before it are moved, time and again', () => {
    let project = plugged(kind);
    const n = curveOf(project).points.length;
    for (let step = 0; step < 12; step++) {
      const i = n - 2 - (step % 2);
      const [x, y, z] = curveOf(project).points[i].position;
      project = edited(project, (p) => movePoint(p, 'hose', i, [x + 0.02, y - 0.01, z + 0.015]));
      const [away, askew] = off(project);
      expect(away).toBeLessThan(1e-9);
      expect(askew).toBeLessThan(1e-5);
      expect(curveOf(project).points).toHaveLength(n);
    }
    expect(projectSchema.safeParse(project).success).toBe(true);
  });

  it('follows the socket, and is let go of when it is moved away itself', () => {
    const moved = edited(plugged(kind), (p) => changeGuide(p, 'socket', { position: [15, 3, 2], turn: [0, 0.3, 1] }));
    expect(off(moved)[0]).toBeLessThan(1e-9);
    expect(off(moved)[1]).toBeLessThan(1e-5);
    const last = curveOf(moved).points.length - 1;
    const away = edited(moved, (p) => movePoint(p, 'hose', last, [20, 0, 0]));
    expect(curveOf(away).points[last].position).toEqual([20, 0, 0]);
    expect(away.paths[0].plugs).toBeUndefined();
  });
});

describe('what was said of ends', () => {
  it('turns round with the path, and goes with its socket', () => {
    const turned = edited(plugged(), (p) => reverse(p, 'hose'));
    expect(turned.paths[0].plugs).toEqual({ start: { guide: 'socket' } });
    const gone = edited(turned, (p) => deleteGuide(p, 'socket'));
    expect(gone.paths[0].plugs).toBeUndefined();
    const closed = edited(plugged(), (p) => changeCurve(p, 'hose', (curve) => ({ ...curve, closed: true })));
    expect(closed.paths[0].plugs).toBeUndefined();
    const released = releaseEnd(plugged(), 'hose', 'end');
    expect(released.paths[0].plugs).toBeUndefined();
  });

  it('leads along paths that are plugged into paths', () => {
    const first = plugged();
    const next: Path = { id: 'next', name: 'Next', curve: pathOf('smooth', [[0, 5, 0], [-3, 5, 2], [-8, 4, 0]], false, 0) }; // prettier-ignore
    const two = { ...first, paths: [...first.paths, next] };
    const start = mouthsBeside(two, 'next').find(({ name }) => name === 'start of Hose')!;
    const both = plugEnd(two, 'next', 'start', start)!;
    const moved = edited(both, (p) => movePoint(p, 'hose', 0, [1, 1, 1]));
    expect(distance(endOf(curveOf(moved, 'next'), 'start')!.position, [1, 1, 1])).toBeLessThan(1e-9);
  });

  it.each(KINDS.filter((kind) => kind !== 'controlPolygon'))('a level end stays level and straight: %s', (kind) => {
    const path = { id: 'hose', name: 'Hose', curve: pathOf(kind, BEND, false, 0.2) as Path['curve'] };
    let project: Project = makeEndStraight({ ...emptyProject('Ends'), paths: [path] }, 'hose', 'start', 'level', 1)!;
    const isLevel = () => expect(Math.abs(endOf(curveOf(project), 'start')!.direction[1])).toBeLessThan(1e-9);
    const leg = () => distance(curveOf(project).points[0].position, curveOf(project).points[1].position);
    expect(isEndKept(curveOf(project), 'start')).toBe(true);
    const before = leg();
    project = movePoint(project, 'hose', 2, [5, 3, -1]);
    isLevel();
    project = movePoint(project, 'hose', 1, [2, 0.7, 0.4]); // the end goes along
    isLevel();
    project = movePoint(project, 'hose', 0, [-1, 0.2, 0]);
    isLevel();
    if (kind !== 'straight' && kind !== 'eased') {
      project = moveHandle(project, 'hose', 0, 'handleOut', [0.5, 2, 0.5]); // along its leg only
      isLevel();
    }
    project = transform(project, 'hose', [0], { kind: 'move', by: [0, 1, 0] });
    isLevel();
    expect(leg()).toBeCloseTo(before, 9);
    project = deletePoints(releaseEnd(project, 'hose', 'start'), 'hose', [1]);
    expect(isEndKept(curveOf(project), 'start')).toBe(false);
  });
});
