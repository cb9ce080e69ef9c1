'use client';

import { Box, Button, Typography } from '@mui/material';
import { useMemo } from 'react';
import type { CurveSpec } from '../../core/curve/registry';
import type { Closing } from '../../core/edit/close-loop';
import type { ComputeApi } from '../../engine/compute-api';
import { sourceOf } from '../../engine/run-source';
import { changeCurve } from '../../project/commands/paths';
import { setRule } from '../../project/commands/runs';
import type { Project } from '../../project/schema';
import { metres, percentText, signed, whole } from '../format';
import { useAnswer } from '../state/use-answer';
import { useEdit, useProject } from '../state/app-context';
import type { StepProps } from './step-props';

type ClosingProps = Pick<StepProps, 'run' | 'course' | 'path'>;

/** How many links close a loop, what is left, and ways to take it up, each with its figure. */
export function ClosingFields({ run, course, path }: ClosingProps) {
  const edit = useEdit();
  const closing = useClosing({ run, course });
  const { rule } = course.laying;
  if (!closing || rule.kind !== 'pinToPin') return null;
  const { fits, slack, links, pitch, scaled, moved } = closing;
  const at = { run: run.id, course: course.id };
  const put = (slackRule: 'open' | 'shared', curve?: CurveSpec) =>
    edit((project: Project) => {
      const changed = curve ? changeCurve(project, path.id, () => curve) : project;
      return setRule(changed, at, { ...rule, slack: slackRule });
    });
  const way = (key: string, label: string, figure: string, act: () => void) => (
    <Button
      key={key}
      fullWidth
      size="small"
      variant="outlined"
      color="secondary"
      onClick={act}
      sx={{ justifyContent: 'space-between', fontWeight: 400 }}
    >
      <span>{label}</span>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {figure}
      </Box>
    </Button>
  );
  const isClosed = slack < 1e-6 || links === fits;
  return (
    <Box sx={{ display: 'grid', gap: 1, py: 2 }}>
      <Typography variant="body2" color="text.secondary">
        {whole(fits)} links fit, {slack < 5e-5 ? 'and close' : `${metres(slack)} are left`}.
        {isClosed && slack < 5e-5 ? '' : ` ${whole(links)} close when`}
      </Typography>
      {slack >= 5e-5 && (
        <>
          {way('pitch', 'the pitch is', signed(`${(pitch * 100).toFixed(3)} %`, pitch), () => put('shared'))}
          {moved.map(({ point, metres: by, curve }) =>
            way(`${point}`, `wheel ${point + 1} moves`, signed(metres(by), by), () => put('shared', curve)),
          )}
          {scaled &&
            way('scale', 'the path is scaled to', percentText(scaled.factor * 100), () => put('shared', scaled.curve))}
        </>
      )}
    </Box>
  );
}

/** Asked of the worker whenever the loop changes. */
function useClosing({ run, course }: Pick<ClosingProps, 'run' | 'course'>): Closing | undefined {
  const project = useProject((s) => s.project);
  const ask = useMemo(() => {
    const source = sourceOf(project, run);
    return source.ok ? (api: ComputeApi) => api.closing(source.value, course.id) : undefined;
  }, [project, run, course]);
  return useAnswer(ask);
}
