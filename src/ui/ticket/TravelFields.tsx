'use client';

import { Button, Typography } from '@mui/material';
import type { CurveSpec } from '../../core/curve/registry';
import { wheelsOffAfter } from '../../core/guides/wheel-guides';
import { alikeAfter, roundOf } from '../../core/motion/loop-round';
import { setMotion } from '../../project/commands/motion';
import type { Run } from '../../project/schema';
import { NumberField } from '../fields/NumberField';
import { degrees, metres, seconds } from '../format';
import { useEdit, useProject } from '../state/app-context';
import type { CourseView } from '../state/results-store';
import { WheelTurn } from './WheelTurn';

/** Off by less than this share of the round it looks as it did. */
const NEAR = 1e-8;

/** Radians: wheels that are off by less stand as they did. */
const LIKE = 1e-3;

/** How fast a run slides along its path, and whether its time makes a loop. */
export function TravelFields({ run, result }: { run: Run; result: CourseView | undefined }) {
  const edit = useEdit();
  const duration = useProject((s) => s.project.time.seconds);
  const { id, motion, courses } = run;
  const { speed } = motion;
  const put = (next: number) => edit((project) => setMotion(project, id, { speed: next }));
  const round = result && roundOf(result.layout, result.path.length, courses[0].laying);
  const count = result?.layout.placements.length ?? 0;
  const curve = useProject((s) => s.project.paths.find(({ id: own }) => own === run.path)?.curve) as
    CurveSpec | undefined;
  const way = speed * duration;
  const whole = round && speed !== 0 ? alikeAfter(way, round) : way;
  const isLoop = round !== undefined && Math.abs(whole - way) < round.length * NEAR;
  const off = curve && isLoop ? wheelsOffAfter(curve, way) : 0;
  return (
    <>
      <NumberField
        label="Slides along at"
        initial={0}
        quantity="speed"
        step={0.1}
        min={-1e4}
        max={1e4}
        value={speed}
        onChange={put}
      />
      {round && count > 0 && (
        <NumberField
          label="Pieces a second"
          quantity="plain"
          step={0.5}
          min={-1e5}
          max={1e5}
          value={Number(((speed * count) / round.length).toPrecision(9))}
          initial={0}
          onChange={(pieces) => put((pieces * round.length) / count)}
        />
      )}
      <NumberField
        of={['runs', id, 'motion', 'shift']}
        label="Has slid by"
        initial={0}
        quantity="length"
        step={0.05}
        min={-1e6}
        max={1e6}
        value={motion.shift}
        onChange={(shift) => edit((project) => setMotion(project, id, { shift }))}
      />
      <WheelTurn run={run} />
      {speed !== 0 && (
        <Typography variant="body2" color="text.secondary">
          {metres(Math.abs(way))} in {seconds(duration)}.{isLoop && ' It goes on without a jump.'}
          {off > LIKE &&
            ` Wheels without teeth end ${degrees(off)} from where they began: round ones look the same, spokes would jump.`}
        </Typography>
      )}
      {speed !== 0 && round && !isLoop && (
        <Button size="small" variant="outlined" color="secondary" onClick={() => put(whole / duration)}>
          Whole pieces in this time
        </Button>
      )}
    </>
  );
}
