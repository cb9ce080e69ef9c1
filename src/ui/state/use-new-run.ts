import { maker, type MakerName } from '../../core/segment/registry';
import { addCourse } from '../../project/commands/courses';
import { addPath } from '../../project/commands/paths';
import { addRun, freeName } from '../../project/commands/runs';
import { addSegment } from '../../project/commands/segments';
import { newId } from '../../project/new-id';
import type { Segment } from '../../project/schema';
import { sets } from '../../project/sets';
import { partsOfMaker, partsOfSegment, runOfParts, UNDRAWN } from '../../project/sets/run-of-parts';
import type { RunSet, SetParts } from '../../project/sets/run-set';
import { useApp } from './app-context';

/** Where a new course lies: on a path of its own to be drawn with the pen, along one that is there, or in a run. */
export interface NewPlace {
  readonly path?: string | undefined;
  readonly run?: string | undefined;
}

const OWN_PATH: NewPlace = {};

/** Adds runs to the project. */
export function useNewRun() {
  const { document, session } = useApp();
  const addParts = (name: string, parts: SetParts, { path, run }: NewPlace) => {
    const [newRun, ownPath, courseIds] = [newId(), newId(), parts.courses.map(() => newId())];
    const { curve = UNDRAWN } = parts;
    document.getState().edit((project) => {
      const withSegments = parts.segments.reduce(addSegment, project);
      if (run !== undefined) {
        return parts.courses.reduce(
          (all, course, i) => addCourse(all, run, { ...course, id: courseIds[i] }),
          withSegments,
        );
      }
      const free = freeName(project, name);
      const withPath = path ? withSegments : addPath(withSegments, { id: ownPath, name: `${free} path`, curve });
      return addRun(withPath, runOfParts(newRun, free, path ?? ownPath, parts));
    });
    if (run !== undefined) return session.getState().set({ run, course: courseIds[0], step: 'laying' });
    const isDrawn = path !== undefined || curve.points.length > 0;
    session
      .getState()
      .set({ run: newRun, point: undefined, step: isDrawn ? 'segment' : 'path', tool: isDrawn ? 'shape' : 'pen' });
    if (path === undefined && isDrawn) session.getState().frame('run');
  };
  return {
    addRunOf: (segment: Segment, place: NewPlace = OWN_PATH) => addParts(segment.name, partsOfSegment(segment), place),
    addMade: (kind: MakerName, place: NewPlace = OWN_PATH) =>
      addParts(maker(kind).label, partsOfMaker(kind, newId()), place),
    addSet: (kind: keyof typeof sets, place: NewPlace = OWN_PATH) => {
      const set: RunSet = sets[kind];
      const stem = newId();
      addParts(
        set.label.split(' with ')[0],
        set.parts((name) => `${stem}-${name}`),
        place,
      );
    },
  };
}
