import { ok, type Result } from '../core/math/result';
import { courseName } from '../project/commands/courses';
import type { Project } from '../project/schema';
import type { Deriver } from './derive';
import { sourceOf } from './run-source';

/** What a project is laid of: one line for each segment of each course. Metres. */
export interface PartsLine {
  readonly run: string;
  readonly course: string;
  readonly segment: string;
  readonly count: number;
  /** Laid lengths together. */
  readonly length: number;
  readonly triangles: number;
}

/** The parts of all runs that are shown. Problems: those of the runs. */
export async function partsList(deriver: Deriver, project: Project): Promise<Result<readonly PartsLine[]>> {
  const lines: PartsLine[] = [];
  const nameOf = (id: string | undefined) => project.segments.find((segment) => segment.id === id)?.name ?? '';
  for (const run of project.runs.filter(({ visible }) => visible)) {
    const source = sourceOf(project, run);
    const derived = source.ok ? await deriver.derive(source.value) : source;
    if (!derived.ok) return derived;
    for (const { course, laid } of derived.value.courses.filter((own) => own.course.visible)) {
      const bodies = [course.segment, ...course.others];
      const bySegment = new Map<string, { count: number; length: number; triangles: number }>();
      for (const { placement, form } of laid.pieces) {
        const { kind, body, length } = placement;
        const ends = { head: course.head, tail: course.tail, corner: course.joint, post: course.joint };
        const id = kind === 'body' ? bodies[body] : (ends[kind] ?? course.segment);
        const known = bySegment.get(id) ?? { count: 0, length: 0, triangles: 0 };
        bySegment.set(id, {
          count: known.count + 1,
          length: known.length + length,
          triangles: known.triangles + form.mesh.indices.length / 3,
        });
      }
      for (const [id, sums] of bySegment)
        lines.push({ run: run.name, course: courseName(project, course), segment: nameOf(id), ...sums });
    }
  }
  return ok(lines);
}
