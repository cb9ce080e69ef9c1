'use client';

import { Button, Typography } from '@mui/material';
import { loopPitch, loopSpeed } from '../../core/motion/loop-speed';
import { setMotion } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { NumberField } from '../fields/NumberField';
import { metres, seconds } from '../format';
import { useEdit, useProject } from '../state/app-context';
import type { CourseView } from '../state/results-store';

/** Off by less than this share of a piece a round has gone on by whole ones. */
const NEAR = 1e-6;

/** How fast a run slides along its path, and whether its time makes a loop. */
export function TravelFields({ run, result }: { run: Run; result: CourseView | undefined }) {
  const edit = useEdit();
  const duration = useProject((s) => s.project.time.seconds);
  const { id, motion, courses } = run;
  const { speed } = motion;
  const put = (next: number) => edit((project) => setMotion(project, id, { speed: next }));
  const pitch = result && loopPitch(result.layout, result.path.length, courses[0].laying);
  const count = result?.layout.placements.length ?? 0;
  const pieces = pitch === undefined ? 0 : (speed * duration) / pitch;
  const isLoop = Math.abs(pieces - Math.round(pieces)) < NEAR;
  return (
    <>
      <NumberField
        label="Slides along at"
        quantity="speed"
        step={0.1}
        min={-1e4}
        max={1e4}
        value={speed}
        onChange={put}
      />
      {speed !== 0 && (
        <Typography variant="body2" color="text.secondary">
          {metres(Math.abs(speed * duration))} in {seconds(duration)}
          {pitch !== undefined && `, ${((Math.abs(speed) * count) / result!.path.length).toFixed(2)} pieces a second`}.
          {isLoop && pitch !== undefined && ' It goes on without a jump.'}
        </Typography>
      )}
      {speed !== 0 && pitch !== undefined && !isLoop && (
        <Button
          size="small"
          variant="outlined"
          color="secondary"
          onClick={() => put(loopSpeed(speed, pitch, duration))}
        >
          Whole pieces in this time
        </Button>
      )}
    </>
  );
}
