'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import { Box, IconButton, Tooltip, Typography } from '@mui/material';
import { memo, useState } from 'react';
import { useProject, useSession } from '../state/app-context';
import { FindField } from '../ticket/FindField';
import { FolderedRows } from '../ticket/FolderedRows';
import { SortableRows } from '../ticket/SortableRows';
import { GuideFields } from './GuideFields';
import { GuideRow } from './GuideRow';
import { NewGuideMenu } from './NewGuideMenu';
import { useGuideActions } from './use-guide-actions';

/** More rows than this are found by typing. */
const MANY = 6;

/** The guides of the project; the chosen one shows its numbers. */
export const GuideList = memo(function GuideList() {
  const guides = useProject((s) => s.project.guides);
  const chosen = useSession((s) => s.guide);
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [wanted, setWanted] = useState('');
  const actions = useGuideActions();
  const guide = guides.find(({ id }) => id === chosen);
  return (
    <Box component="nav" aria-label="Guides" sx={{ py: 2, borderTop: '1px solid', borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', pl: 4, pr: 2 }}>
        <Typography variant="caption" color="text.secondary">
          Guides
        </Typography>
        {guides.length > MANY && <FindField label="Find a guide" value={wanted} onChange={setWanted} />}
        <Tooltip title="Add a guide: something to draw on, wind round or keep clear of">
          <IconButton aria-label="Add a guide" size="small" onClick={(event) => setAnchor(event.currentTarget)}>
            <AddRounded sx={{ fontSize: 18 }} />
          </IconButton>
        </Tooltip>
      </Box>
      <SortableRows items={guides} onMove={actions.move}>
        <FolderedRows
          list="guides"
          items={guides}
          wanted={wanted}
          row={(own) => <GuideRow guide={own} actions={actions} />}
        />
      </SortableRows>
      {guide && <GuideFields key={guide.id} guide={guide} />}
      {anchor && <NewGuideMenu anchor={anchor} onClose={() => setAnchor(undefined)} />}
    </Box>
  );
});
