import { endOf, isEndKept, letEndGo, plugIn, type EndPlace, type PathEnd } from '../../core/edit/end-leg';
import type { CurveSpec } from '../../core/curve/registry';
import { mouthOf } from '../../core/guides/build-guide';
import { distance } from '../../core/math/vec3';
import type { Path, Plug, Project } from '../schema';

/** Metres, and length of the difference of two directions: nearer than this an end is where it is to be. */
const SAME_PLACE = 1e-7;
const SAME_WAY = 1e-6;
/** A path may be plugged into one that is plugged into one. */
const ROUNDS = 4;

const BOTH: readonly PathEnd[] = ['start', 'end'];

/** An end of a path, worked out once for as long as the path stays as it is: every move of a drag asks for all of them. */
const ends = new WeakMap<CurveSpec, Partial<Record<PathEnd, EndPlace | undefined>>>();
function keptEnd(curve: CurveSpec, end: PathEnd): EndPlace | undefined {
  const known = ends.get(curve) ?? {};
  if (!(end in known)) known[end] = endOf(curve, end);
  ends.set(curve, known);
  return known[end];
}

/** A place to plug an end into, and the way out of it. */
export interface Mouth extends EndPlace {
  readonly name: string;
  readonly plug: Plug;
}

/** Ends of other open paths, and sockets that are shown. */
export function mouthsBeside(project: Project, path: string): readonly Mouth[] {
  return [
    ...project.guides
      .filter(({ visible, shape }) => visible && shape.from === 'body' && shape.kind === 'socket')
      .map((guide) => ({ ...mouthOf(guide), name: guide.name, plug: { guide: guide.id } })),
    ...project.paths
      .filter(({ id, curve }) => id !== path && !curve.closed)
      .flatMap(({ id, name, curve }) =>
        BOTH.flatMap((end) => {
          const place = keptEnd(curve, end);
          return place ? [{ ...place, name: `${end} of ${name}`, plug: { path: id, end } }] : [];
        }),
      ),
  ];
}

/** Where a plug leads; undefined when that is gone. */
function mouthAt({ guides, paths }: Project, plug: Plug): EndPlace | undefined {
  if ('guide' in plug) {
    const guide = guides.find(({ id }) => id === plug.guide);
    return guide && mouthOf(guide);
  }
  const path = paths.find(({ id }) => id === plug.path);
  return path && keptEnd(path.curve, plug.end);
}

/** Plugs an end in, to stay; undefined where the path has no such end. */
export function plugEnd(
  project: Project,
  id: string,
  end: PathEnd,
  mouth: EndPlace & { plug?: Plug },
): Project | undefined {
  const path = project.paths.find((p) => p.id === id);
  const spec = path?.curve as CurveSpec | undefined;
  const curve = spec && plugIn(isEndKept(spec, end) ? letEndGo(spec, end) : spec, end, mouth);
  if (!path || !curve) return undefined;
  const plugged: Path = { ...path, curve: curve };
  return withPath(project, mouth.plug ? { ...plugged, plugs: { ...path.plugs, [end]: mouth.plug } } : plugged);
}

/** Lets go of what was said of an end. */
export function releaseEnd(project: Project, id: string, end: PathEnd): Project {
  const path = project.paths.find((p) => p.id === id);
  if (!path) return project;
  const curve = letEndGo(path.curve, end) as Path['curve'];
  return withPath(project, withoutPlug({ ...path, curve }, end));
}

/**
 * The project after an edit with all plugged ends where they are plugged in: they follow what they are plugged into, and keep their way in
 * when something else of the path is moved. An end that was itself moved away is let go of.
 */
export function holdPlugs(before: Project, after: Project): Project {
  if (before.paths === after.paths && before.guides === after.guides) return after;
  let project = after;
  for (let round = 0; round < ROUNDS; round++) {
    const next = project.paths.reduce((held, path) => {
      const now = path.plugs ? heldPath(before, held, path) : path;
      return now === path ? held : withPath(held, now);
    }, project);
    if (next === project) return project;
    project = next;
  }
  return project;
}

function heldPath(before: Project, project: Project, path: Path): Path {
  const old = before.paths.find(({ id }) => id === path.id);
  return BOTH.reduce((now, end) => {
    const plug = now.plugs?.[end];
    if (!plug) return now;
    const mouth = mouthAt(project, plug);
    const place = keptEnd(now.curve, end);
    if (!mouth || !place) return withoutPlug(now, end);
    const isThere = distance(place.position, mouth.position) < SAME_PLACE;
    const isRight =
      distance(place.direction, mouth.direction.map((v) => -v) as unknown as EndPlace['direction']) < SAME_WAY;
    if (isThere && isRight) return now;
    const was = old?.plugs?.[end] && mouthAt(before, plug);
    const mouthStayed = was && distance(was.position, mouth.position) < SAME_PLACE;
    if (!isThere && mouthStayed) return withoutPlug(now, end);
    const curve = plugIn(now.curve, end, mouth);
    return curve ? { ...now, curve: curve } : withoutPlug(now, end);
  }, path);
}

function withoutPlug(path: Path, end: PathEnd): Path {
  if (!path.plugs?.[end]) return path;
  const { plugs, ...free } = path;
  const { [end]: gone, ...left } = plugs;
  return Object.keys(left).length > 0 ? { ...free, plugs: left } : free;
}

const withPath = (project: Project, path: Path): Project => ({
  ...project,
  paths: project.paths.map((p) => (p.id === path.id ? path : p)),
});

/** Plugs of a path that is run through the other way. */
export const reversedPlugs = ({ plugs, ...path }: Path): Path =>
  plugs
    ? { ...path, plugs: { ...(plugs.end && { start: plugs.end }), ...(plugs.start && { end: plugs.start }) } }
    : path;
