import { useState } from 'react';
import { useProject, useResults, useRun } from '../state/app-context';

/** What of the project is exported: all runs that show or the selected one, and guides or not. */
export function useExported() {
  const selected = useRun();
  const runs = useProject((s) => s.project.runs);
  const results = useResults((s) => s.results);
  const hasGuides = useProject((s) => s.project.guides.some(({ visible }) => visible));
  const [what, setWhat] = useState<'all' | 'one'>('all');
  const [guides, setGuides] = useState(false);
  const chosen = what === 'one' ? runs.filter(({ id }) => id === selected?.id) : runs.filter(({ visible }) => visible);
  const hasWheels = chosen.some(({ id }) => (results.get(id)?.wheels.length ?? 0) > 0);
  const shown = chosen.flatMap(({ id }) => results.get(id)?.courses ?? []);
  return {
    ...{ what, setWhat, guides, setGuides, chosen, selected, hasWheels },
    run: what === 'one' ? selected?.id : undefined,
    hasBeside: hasGuides || hasWheels,
    triangles: shown.reduce((sum, { geometry }) => sum + geometry.triangles, 0),
    hasRepeated: shown.some((course) => course.repeated.length > 0),
  };
}

export type Exported = ReturnType<typeof useExported>;
