import { partsOf } from '../../core/layout/course-parts';
import { dressingOf } from '../../project/commands/dressing';
import type { Run } from '../../project/schema';
import { plural } from '../format';
import { useProject } from '../state/app-context';

/** What a run is dressed with, in a few words. */
export function useDressingSummary(run: Run | undefined): string {
  return useProject(({ project }) => {
    if (!run) return '';
    const kinds = dressingOf(run).length;
    const used = new Set(run.courses.flatMap(partsOf));
    const finishes = project.segments.flatMap((segment) => (used.has(segment.id) ? segment.finishes : []));
    const coats = finishes.filter(({ coat }) => coat).length;
    const said = [kinds > 0 && plural(kinds, 'kind'), coats > 0 && plural(coats, 'coat')].filter(Boolean);
    return said.join(', ') || 'nothing on it yet';
  });
}
