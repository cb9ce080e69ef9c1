'use client';

import { useMemo } from 'react';
import { add, scale } from '../../core/math/vec3';
import { areGaugesOne } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { quantityText } from '../fields/quantity';
import { useCourseView, useRun } from '../state/app-context';
import type { CourseView } from '../state/results-store';
import { ringAt, roundOf } from './ring-geometry';
import { RingGrip } from './RingGrip';
import { RingLine } from './RingLine';
import { useRing, type RingState } from './use-ring';
import { useRingPull } from './use-ring-pull';
import type { Viewport } from './viewport';

/** A ring about the selected run, to be turned for its roll, with two grips for its thickness. */
export function RingOverlay({ viewport }: { viewport: Viewport }) {
  const run = useRun();
  const result = useCourseView();
  return run?.visible && result ? <OwnRing viewport={viewport} run={run} result={result} /> : null;
}

function OwnRing({ viewport, run, result }: { viewport: Viewport; run: Run; result: CourseView }) {
  const state = useRing(run, result);
  if (!state) return null;
  return <Shown {...{ viewport, run, result, state }} />;
}

function Shown({
  viewport,
  run,
  result,
  state,
}: {
  viewport: Viewport;
  run: Run;
  result: CourseView;
  state: RingState;
}) {
  const { station, totalAt } = state;
  const [up, side] = [totalAt('gaugeUp', station), totalAt('gaugeSide', station)];
  const ring = useMemo(() => ringAt(result.path, station, result.segment.box, [up, side]), [result, station, up, side]);
  const round = useMemo(() => roundOf(ring), [ring]);
  const hold = useRingPull(viewport, ring, state);
  const areOne = areGaugesOne(run);
  const out = 0.14 * ring.radius;
  const roll = quantityText(Number(totalAt('roll', station).toFixed(4)), 'angle');
  return (
    <>
      <RingLine
        viewport={viewport}
        places={round}
        label={`Roll at this station: ${roll}. Drag to turn`}
        {...hold('roll')}
      />
      <RingGrip
        viewport={viewport}
        place={add(ring.middle, scale(ring.up, ring.reachUp + out))}
        label={areOne ? `Gauge ${quantityText(up, 'plain')}` : `Gauge up ${quantityText(up, 'plain')}`}
        {...hold(areOne ? 'gauge' : 'gaugeUp')}
      />
      <RingGrip
        viewport={viewport}
        place={add(ring.middle, scale(ring.side, ring.reachSide + out))}
        label={`Gauge sideways ${quantityText(side, 'plain')}`}
        {...hold('gaugeSide')}
      />
    </>
  );
}
