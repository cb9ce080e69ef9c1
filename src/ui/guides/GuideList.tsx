'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import VisibilityOffOutlined from '@mui/icons-material/VisibilityOffOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import { Box, ButtonBase, IconButton, Tooltip, Typography } from '@mui/material';
import { memo, useState } from 'react';
import { changeGuide, deleteGuide } from '../../project/commands/guides';
import type { Guide } from '../../project/schema';
import { useApp, useEdit, useProject, useSession, useSet } from '../state/app-context';
import { GuideFields } from './GuideFields';
import { NewGuideMenu } from './NewGuideMenu';

/** The guides of the project; the chosen one shows its numbers. */
export const GuideList = memo(function GuideList() {
  const guides = useProject((s) => s.project.guides);
  const chosen = useSession((s) => s.guide);
  const [anchor, setAnchor] = useState<HTMLElement>();
  const guide = guides.find(({ id }) => id === chosen);
  return (
    <Box component="nav" aria-label="Guides" sx={{ py: 2, borderTop: '1px solid', borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', pl: 4, pr: 2 }}>
        <Typography variant="caption" color="text.secondary">
          Guides
        </Typography>
        <Tooltip title="Add a guide: something to draw on, wind round or keep clear of">
          <IconButton aria-label="Add a guide" size="small" onClick={(event) => setAnchor(event.currentTarget)}>
            <AddRounded sx={{ fontSize: 18 }} />
          </IconButton>
        </Tooltip>
      </Box>
      <Box sx={{ maxHeight: 144, overflowY: 'auto' }}>
        {guides.map((g) => (
          <GuideRow key={g.id} guide={g} isChosen={g.id === chosen} />
        ))}
      </Box>
      {guide && <GuideFields key={guide.id} guide={guide} />}
      {anchor && <NewGuideMenu anchor={anchor} onClose={() => setAnchor(undefined)} />}
    </Box>
  );
});

function GuideRow({ guide, isChosen }: { guide: Guide; isChosen: boolean }) {
  const edit = useEdit();
  const set = useSet();
  const { session } = useApp();
  const Eye = guide.visible ? VisibilityOutlined : VisibilityOffOutlined;
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        height: 32,
        pr: 1.5,
        bgcolor: isChosen ? (t) => t.vars!.palette.tokens.leafWash : 'transparent',
        boxShadow: isChosen ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
        '& .MuiIconButton-root': { opacity: guide.visible ? 0 : 1 },
        '&:hover .MuiIconButton-root, & .MuiIconButton-root:focus-visible': { opacity: 1 },
      }}
    >
      <ButtonBase
        aria-pressed={isChosen}
        onClick={() => set({ guide: isChosen ? undefined : guide.id, point: undefined })}
        onDoubleClick={() => {
          set({ guide: guide.id });
          session.getState().frame('chosen');
        }}
        sx={{
          flex: 1,
          minWidth: 0,
          height: '100%',
          pl: 4,
          justifyContent: 'flex-start',
          fontWeight: isChosen ? 650 : 400,
        }}
      >
        <Box
          component="span"
          sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap', opacity: guide.visible ? 1 : 0.55 }}
        >
          {guide.name}
        </Box>
      </ButtonBase>
      <IconButton
        size="small"
        aria-label={guide.visible ? `Hide ${guide.name}` : `Show ${guide.name}`}
        onClick={() => edit((project) => changeGuide(project, guide.id, { visible: !guide.visible }))}
        sx={{ width: 26, height: 26 }}
      >
        <Eye sx={{ fontSize: 16 }} />
      </IconButton>
      <IconButton
        size="small"
        aria-label={`Delete ${guide.name}`}
        onClick={() => edit((project) => deleteGuide(project, guide.id))}
        sx={{ width: 26, height: 26 }}
      >
        <DeleteOutlineRounded sx={{ fontSize: 16 }} />
      </IconButton>
    </Box>
  );
}
