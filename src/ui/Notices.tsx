'use client';

import { Box, Button, Portal, Snackbar } from '@mui/material';
import { useSession } from './state/app-context';

/** Shown together at the most; the others wait. */
const MOST_SHOWN = 3;
/** Milliseconds. */
const SHOWN_FOR = 6000;

/** Notices at the foot of the page: in ink, or in madder red where something is wrong. */
export function Notices() {
  const notices = useSession((s) => s.notices);
  const dismiss = useSession((s) => s.dismiss);
  if (notices.length === 0) return null;
  // Added behind an open dialog, which hides from assistive tools what is there before it.
  return (
    <Portal>
      <Box
        sx={{
          ...{ position: 'fixed', bottom: 24, left: 0, right: 0, zIndex: 'snackbar', pointerEvents: 'none' },
          ...{ display: 'flex', flexDirection: 'column', alignItems: 'center', gap: 1 },
        }}
      >
        {notices.slice(0, MOST_SHOWN).map(({ id, text, kind, stays = false, action }) => (
          <Snackbar
            key={id}
            open
            message={text}
            autoHideDuration={stays ? null : SHOWN_FOR}
            onClose={(_, reason) => reason !== 'clickaway' && dismiss(id)}
            action={
              action && (
                <Button
                  color="inherit"
                  size="small"
                  onClick={() => {
                    dismiss(id);
                    action.act();
                  }}
                >
                  {action.label}
                </Button>
              )
            }
            slotProps={{ content: { sx: contentLook(kind === 'error') } }}
            sx={{ position: 'static', transform: 'none', pointerEvents: 'auto' }}
          />
        ))}
      </Box>
    </Portal>
  );
}

const contentLook = (isError: boolean) => ({
  bgcolor: isError ? 'error.main' : 'secondary.main',
  color: 'background.paper',
  fontSize: 13,
  maxWidth: 560,
});
