'use client';

import { useMemo } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import { groupFindings } from '../findings/group-findings';
import { useRun } from '../state/app-context';
import { useFindings } from '../state/use-findings';
import { placeAt } from './nearest-station';
import { useProjected } from './use-projected';
import type { Viewport } from './viewport';

/** Most that are marked: more would cover the run. */
const MOST = 40;

/** Where the selected run's findings lie. They take no pointer and lie under the points. */
export function FindingMarks({ viewport, path }: { viewport: Viewport; path: PathView }) {
  const run = useRun();
  const findings = useFindings(run?.id);
  const places = useMemo(
    () =>
      groupFindings(findings, run?.setAside)
        .flatMap((group) => group.findings.flatMap(({ at }) => (at ? [placeAt(path, at.station)] : [])))
        .slice(0, MOST),
    [findings, run?.setAside, path],
  );
  return places.map((place, i) => <FindingMark key={i} viewport={viewport} place={place} />);
}

function FindingMark({ viewport, place }: { viewport: Viewport; place: Vec3 }) {
  const ref = useProjected<HTMLDivElement>(viewport, place);
  return (
    <div ref={ref} aria-hidden style={{ position: 'absolute', left: 0, top: 0, pointerEvents: 'none' }}>
      <svg width={18} height={16} viewBox="0 0 18 16" style={{ display: 'block', transform: 'translateY(-15px)' }}>
        <path
          d="M9 14L2 2H16Z"
          fill="var(--mui-palette-error-main)"
          stroke="var(--mui-palette-background-paper)"
          strokeWidth={1.5}
          strokeLinejoin="round"
        />
      </svg>
    </div>
  );
}
