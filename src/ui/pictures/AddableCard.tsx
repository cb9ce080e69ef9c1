import { Box, ButtonBase } from '@mui/material';
import type { Addable } from '../../project/addables';
import { SmallPicture } from './SmallPicture';

/** Pixels of its picture. */
export const CARD = { width: 116, height: 74 } as const;

const TWO_LINES = {
  ...{ display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical' },
  ...{ overflow: 'hidden', overflowWrap: 'anywhere' },
} as const;

/** What can be added, as a picture with its name. */
export const AddableCard = ({ item, onAdd }: { item: Addable; onAdd: () => void }) => (
  <ButtonBase
    aria-label={item.label}
    title={item.hint}
    onClick={onAdd}
    sx={{
      ...{ flexDirection: 'column', alignItems: 'stretch', justifyContent: 'flex-start', borderRadius: 1 },
      ...{ textAlign: 'left', fontSize: 12, lineHeight: 1.3 },
      '&:hover > div:first-of-type': { boxShadow: 'inset 0 0 0 2px var(--mui-palette-primary-main)' },
    }}
  >
    <SmallPicture project={item.project} name={item.key} {...CARD} />
    <Box component="span" sx={{ mt: 1, ...TWO_LINES }}>
      {item.label}
    </Box>
  </ButtonBase>
);
