'use client';

import { Button, Typography } from '@mui/material';
import { clock } from '../format';
import { useApp, useSession } from '../state/app-context';

/** Whether everything is stored; in a second tab, that nothing is, and what to do. */
export function SaveNote() {
  const { keeper, document, tell } = useApp();
  const save = useSession((s) => s.save);
  if (save.kind === 'elsewhere') {
    return (
      <>
        <Typography role="status" color="error" sx={{ fontWeight: 600, whiteSpace: 'nowrap' }}>
          Open in another tab: changes here are not saved
        </Typography>
        <Button
          variant="outlined"
          color="secondary"
          onClick={() => void keeper.takeOver().then((trouble) => tell.problems(trouble))}
        >
          Edit here instead
        </Button>
        <Button
          variant="outlined"
          color="secondary"
          onClick={() => {
            const { stored: project } = document.getState();
            void keeper
              .create({ ...project, name: `${project.name} (copy)`.slice(0, 200) })
              .then((trouble) => tell.problems(trouble));
          }}
        >
          Keep as a copy
        </Button>
      </>
    );
  }
  const text = save.kind === 'saved' ? `Saved ${clock(save.at)}` : save.kind === 'saving' ? 'Saving' : save.reason;
  return (
    <Typography role="status" color={save.kind === 'failed' ? 'error' : 'text.secondary'} noWrap title={text}>
      {text}
    </Typography>
  );
}
