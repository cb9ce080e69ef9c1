'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import UnfoldLessRounded from '@mui/icons-material/UnfoldLessRounded';
import UnfoldMoreRounded from '@mui/icons-material/UnfoldMoreRounded';
import { Box, IconButton, Tooltip, Typography } from '@mui/material';
import { memo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { coursesShown } from './courses-shown';
import { useCourse, useFold, useProject, useRun, useSession } from '../state/app-context';
import { CourseList } from './CourseList';
import { FindField } from './FindField';
import { FolderedRows } from './FolderedRows';
import { NewRunMenu } from './NewRunMenu';
import { RunRow } from './RunRow';
import { SortableRows } from './SortableRows';
import { useRunActions } from './use-run-actions';

/** Pixels that the rest of the ticket keeps below the list, and the least that the list takes: six and a half rows. */
const BELOW = 592;
const LEAST = 208;

/** More rows than this are found by typing. */
const MANY = 6;

/** Pixels of a course's row, and how many of them the list grows for. */
const COURSE_ROW = 28;
const MOST_UNFOLDED = 4;

/** The runs of the project; one is selected, others may be chosen beside it. */
export const RunList = memo(function RunList() {
  const runs = useProject((s) => s.project.runs);
  const selected = useRun();
  const more = useSession((s) => s.moreRuns);
  const actions = useRunActions();
  const [isWhole, setWhole] = useFold('The whole list of runs');
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [wanted, setWanted] = useState('');
  const [renamed, setRenamed] = useState<string>();
  // What is unfolded does not push the other runs out of sight.
  const course = useCourse();
  const courses = selected ? coursesShown(selected, course?.id).length : 0;
  const unfolded = courses > 1 ? Math.min(courses, MOST_UNFOLDED) * COURSE_ROW : 0;
  const keys = useHotkeys<HTMLElement>(
    'f2, d',
    (event) => (event.key === 'F2' ? setRenamed(selected!.id) : actions.duplicate(selected!.id)),
    { enabled: selected !== undefined, preventDefault: true },
  );
  return (
    <Box component="nav" aria-label="Runs" ref={keys} sx={{ py: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', pl: 4, pr: 2 }}>
        <Typography variant="caption" color="text.secondary">
          Runs
        </Typography>
        {runs.length > MANY && <FindField label="Find a run" value={wanted} onChange={setWanted} />}
        {runs.length > MANY && (
          <Tooltip title={isWhole ? 'Fold the list, so that the steps are in sight' : 'Show the whole list'}>
            <IconButton
              aria-label="The whole list"
              aria-pressed={isWhole}
              size="small"
              onClick={() => setWhole(!isWhole)}
            >
              {isWhole ? <UnfoldLessRounded sx={{ fontSize: 18 }} /> : <UnfoldMoreRounded sx={{ fontSize: 18 }} />}
            </IconButton>
          </Tooltip>
        )}
        <Tooltip title="Add a run">
          <IconButton aria-label="Add a run" size="small" onClick={(event) => setAnchor(event.currentTarget)}>
            <AddRounded sx={{ fontSize: 18 }} />
          </IconButton>
        </Tooltip>
      </Box>
      <Box
        sx={{
          maxHeight: isWhole ? 'none' : `max(${LEAST + unfolded}px, calc(100dvh - ${BELOW}px))`,
          overflowY: 'auto',
          overflowX: 'hidden',
        }}
      >
        <SortableRows items={runs} onMove={actions.move}>
          <FolderedRows
            list="runs"
            items={runs}
            wanted={wanted}
            row={(run) => (
              <>
                <RunRow
                  run={run}
                  isSelected={run.id === selected?.id}
                  isMore={more.includes(run.id)}
                  isRenamed={renamed === run.id}
                  onRename={(isRenamed) => setRenamed(isRenamed ? run.id : undefined)}
                  actions={actions}
                />
                {courses > 1 && run.id === selected?.id && <CourseList run={run} />}
              </>
            )}
          />
        </SortableRows>
      </Box>
      {anchor && <NewRunMenu anchor={anchor} onClose={() => setAnchor(undefined)} />}
    </Box>
  );
});
