'use client';

import { findingWords } from '../findings/finding-words';
import { groupFindings } from '../findings/group-findings';
import { useRun, useSet } from '../state/app-context';
import { useFindings } from '../state/use-findings';
import type { StationScale } from './Lane';

/** Where findings lie, along the top of the lanes. */
export function FindingMarks({ x }: { x: StationScale }) {
  const run = useRun();
  const set = useSet();
  const findings = useFindings(run?.id);
  const places = groupFindings(findings, run?.setAside).flatMap((group) => group.findings.filter(({ at }) => at));
  return places.map((finding, i) => (
    <path
      key={i}
      transform={`translate(${x(finding.at!.station)} 19)`}
      d="M0 0L-5 -7H5Z"
      fill="var(--mui-palette-error-main)"
      onPointerEnter={() => set({ finding, station: finding.at!.station })}
      onPointerLeave={() => set({ finding: undefined })}
    >
      <title>{findingWords(finding).title}</title>
    </path>
  ));
}
