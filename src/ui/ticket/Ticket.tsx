'use client';

import { Box } from '@mui/material';
import {
  useCourse,
  useCourseView,
  useSegment,
  useProject,
  useResults,
  useRun,
  useSession,
  useSet,
} from '../state/app-context';
import { STEP_TITLES, STEPS } from '../state/steps';
import { GuideList } from '../guides/GuideList';
import { KitList } from '../kits/KitList';
import { DressingStep } from '../dressing/DressingStep';
import { useDressingSummary } from '../dressing/use-dressing-summary';
import { BendingStep } from './BendingStep';
import { LayingStep } from './LayingStep';
import { MotionStep } from './MotionStep';
import { PathStep } from './PathStep';
import { RunList } from './RunList';
import { SegmentStep } from './SegmentStep';
import { stepSummary } from './step-summaries';
import { StepRow } from './StepRow';

const CONTROLS = {
  segment: SegmentStep,
  path: PathStep,
  laying: LayingStep,
  bending: BendingStep,
  motion: MotionStep,
  dressing: DressingStep,
};

/** The left column: the runs, and the selected run's job step by step. */
export function Ticket() {
  const run = useRun();
  const course = useCourse();
  const segment = useSegment();
  const path = useProject((s) => s.project.paths.find(({ id }) => id === run?.path));
  const result = useCourseView();
  const problems = useResults((s) => (run ? s.problems.get(run.id) : undefined)) ?? [];
  const open = useSession((s) => s.step);
  const set = useSet();
  const dressed = useDressingSummary(run);
  return (
    <Box
      component="aside"
      aria-label="Ticket"
      sx={{
        height: '100%',
        overflowY: 'auto',
        pb: 2,
        bgcolor: 'background.paper',
        borderRight: '1px solid',
        borderColor: 'divider',
      }}
    >
      <RunList />
      {run && course && segment && path && (
        <Box key={`${run.id} ${course.id}`} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
          {STEPS.map((step, i) => {
            const Controls = CONTROLS[step];
            return (
              <StepRow
                key={step}
                number={i + 1}
                title={STEP_TITLES[step]}
                summary={stepSummary(step, { run, course }, { segment: segment.name, dressed }, result, problems)}
                isOpen={open === step}
                onToggle={() => set({ step: open === step ? undefined : step })}
              >
                <Controls run={run} course={course} segment={segment} path={path} result={result} />
              </StepRow>
            );
          })}
        </Box>
      )}
      <GuideList />
      <KitList />
    </Box>
  );
}
