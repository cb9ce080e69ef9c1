'use client';

import ContentCopyOutlined from '@mui/icons-material/ContentCopyOutlined';
import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import FileDownloadOutlined from '@mui/icons-material/FileDownloadOutlined';
import { Box, ButtonBase, IconButton, Tooltip } from '@mui/material';
import { problemWords } from '../../engine/problem-words';
import type { ShelfItem } from '../../project/storage/projects';
import { plural } from '../format';
import { useShelfPicture } from './use-shelf-picture';
import type { ShelfActions } from './use-shelf';

/** One project of the shelf. */
export function ShelfRow({ item, isOpen, actions }: { item: ShelfItem; isOpen: boolean; actions: ShelfActions }) {
  const icon = { fontSize: 18 };
  const picture = useShelfPicture(item.id, isOpen);
  const isKept = item.savedAt > 0;
  const isSound = isKept && !item.problem;
  const buttons = [
    { label: 'Download', act: () => actions.download(item), Icon: FileDownloadOutlined },
    ...(isSound ? [{ label: 'Duplicate', act: () => actions.duplicate(item.id), Icon: ContentCopyOutlined }] : []),
    ...(isKept ? [{ label: 'Delete', act: () => actions.remove(item), Icon: DeleteOutlineRounded }] : []),
  ];
  const saved = isKept && new Date(item.savedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        px: 2,
        '& + &': { borderTop: '1px solid', borderColor: 'divider' },
        boxShadow: isOpen ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
      }}
    >
      <ButtonBase
        onClick={() => void actions.open(item.id)}
        sx={{ flex: 1, minWidth: 0, py: 2, px: 2, gap: 3, justifyContent: 'flex-start', textAlign: 'left' }}
      >
        <Box
          component="span"
          aria-hidden
          sx={{
            ...{ width: 72, height: 45, flexShrink: 0, borderRadius: 1, backgroundSize: 'cover' },
            bgcolor: (t) => t.vars!.palette.tokens.ground,
            ...(picture && { backgroundImage: `url(${picture})` }),
          }}
        />
        <Box component="span" sx={{ minWidth: 0, display: 'block' }}>
          <Box sx={{ fontWeight: 650, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
            {item.name}
          </Box>
          <Box sx={{ color: 'text.secondary', fontSize: 12 }}>
            {isOpen ? 'open now, ' : ''}
            {item.problem && isKept ? 'cannot be opened here' : plural(item.runs, 'run')}
            {saved ? `, saved ${saved}` : ', not kept in this browser'}
          </Box>
          {item.problem && (
            <Box sx={{ color: 'error.main', fontSize: 12, textWrap: 'pretty' }}>{problemWords(item.problem)}</Box>
          )}
        </Box>
      </ButtonBase>
      {buttons.map(({ label, act, Icon }) => (
        <Tooltip key={label} title={label}>
          <IconButton aria-label={`${label} ${item.name}`} onClick={() => void act()}>
            <Icon sx={icon} />
          </IconButton>
        </Tooltip>
      ))}
    </Box>
  );
}
