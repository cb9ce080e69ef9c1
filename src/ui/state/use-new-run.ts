import { maker, pitchGap, type MakerName } from '../../core/segment/registry';
import { addPath } from '../../project/commands/paths';
import { addRun, freeName } from '../../project/commands/runs';
import { addSegment } from '../../project/commands/segments';
import { COURSE_DEFAULTS, JOB_DEFAULTS, newCourse, MADE_PREPARE, makerDefaults } from '../../project/defaults';
import { newId } from '../../project/new-id';
import type { Segment } from '../../project/schema';
import { useApp } from './app-context';

/** Adds a run to the project: of a segment, on a path of its own to be drawn with the pen, or along an existing one. */
export function useNewRun() {
  const { document, session } = useApp();
  const addRunOf = (segment: Segment, alongPath?: string, gap = 0) => {
    const [run, ownPath] = [newId(), newId()];
    document.getState().edit((project) => {
      const name = freeName(project, segment.name);
      const withSegment = addSegment(project, segment);
      const path = { id: ownPath, name: `${name} path`, curve: { kind: 'smooth' as const, closed: false, points: [] } };
      const withPath = alongPath ? withSegment : addPath(withSegment, path);
      return addRun(withPath, {
        id: run,
        name,
        visible: true,
        path: alongPath ?? ownPath,
        ...JOB_DEFAULTS,
        courses: [newCourse(segment.id, { laying: { ...COURSE_DEFAULTS.laying, rule: { kind: 'fillStretch', gap } } })],
      });
    });
    session
      .getState()
      .set({ run, point: undefined, step: alongPath ? 'segment' : 'path', tool: alongPath ? 'shape' : 'pen' });
  };
  return {
    addRunOf,
    addMade: (kind: MakerName, alongPath?: string) =>
      addRunOf(
        {
          id: newId(),
          name: maker(kind).label,
          source: { from: 'maker', spec: makerDefaults(kind) },
          prepare: MADE_PREPARE,
          finishes: [],
        },
        alongPath,
        pitchGap(makerDefaults(kind)),
      ),
  };
}
