'use client';

import { Box, ButtonBase, Tooltip } from '@mui/material';
import { visuallyHidden } from '@mui/utils';
import { createContext, useContext, type ReactNode } from 'react';
import { frameBeside } from '../../core/motion/clock';
import { keyAt } from '../../core/motion/keys';
import { deleteKeys, keysOf, setKey } from '../../project/commands/keys';
import { nodeAt, type Address } from '../../project/keys/address';
import { leafSchema } from '../../project/keys/leaf-schema';
import { projectSchema } from '../../project/schema';
import { moment as momentText } from '../format';
import { useApp, useEdit, useGesture, useProject } from '../state/app-context';
import type { DocumentState } from '../state/document-store';

/** The frame at which keys are set just now, seconds. */
export const keyMoment = ({ moment, stored: { time } }: Pick<DocumentState, 'moment' | 'stored'>): number =>
  frameBeside(moment ?? time.seconds, 0, time);

/** A field whose value may change over time: a mark in the margin sets a key at the current time, or takes it away. */
export function HasKeys({ children, ...mark }: Partial<MarkProps> & { label: string; children: ReactNode }) {
  const { of } = mark;
  return of ? (
    <Box sx={{ position: 'relative', '&:hover .key-mark, &:focus-within .key-mark': { opacity: 1 } }}>
      {children}
      <KeyMark {...mark} of={of} />
    </Box>
  ) : (
    children
  );
}

const Making = createContext<(() => void) | undefined>(undefined);

/** Fields of something that is not there yet: it is made before one of them gets a key. */
export function MadeForKeys({ make, children }: { make: (() => void) | undefined; children: ReactNode }) {
  return <Making value={make}>{children}</Making>;
}

interface MarkProps {
  /** Absent = it is always the same. */
  readonly of: Address | undefined;
  readonly label: string;
  /** What it is where the project leaves it open. */
  readonly value?: number | string;
}

function KeyMark({ of, label, value }: MarkProps & { of: Address }) {
  const { document } = useApp();
  const edit = useEdit();
  const gesture = useGesture();
  const make = useContext(Making);
  const state = useProject((s) => {
    const keys = keysOf(s.stored, of);
    if (keyAt(keys, keyMoment(s))) return 'here';
    if (keys.length > 0) return 'elsewhere';
    return leafSchema(projectSchema, s.project, of) ? 'none' : 'never';
  });
  const at = useProject(keyMoment);
  if (state === 'never') return null;
  const words = `${state === 'here' ? 'Delete the key of' : 'Set a key of'} ${label} at ${momentText(at)}`;
  const toggle = () => {
    const now = keyMoment(document.getState());
    const { keyed } = document.getState().stored;
    if (state !== 'here') {
      gesture.begin();
      make?.();
      edit((project) => setKey(project, of, now, nodeAt(project, of) ?? value));
      return gesture.end();
    }
    const here = keyAt(keysOf({ keyed }, of), now);
    if (here) edit((project) => deleteKeys(project, [{ of, at: here.at }]));
  };
  return (
    <Tooltip describeChild title={words} placement="left">
      <ButtonBase
        className="key-mark"
        aria-pressed={state === 'here'}
        onClick={toggle}
        sx={{
          ...{ position: 'absolute', left: -16, top: 9, width: 16, height: 16, borderRadius: '50%' },
          opacity: state === 'none' ? 0 : 1,
          '@media (hover: none)': { opacity: 1 },
          '&::before': {
            ...{ content: '""', width: 8, height: 8, borderRadius: '50%', border: '1.5px solid' },
            borderColor: state === 'none' ? 'text.secondary' : 'primary.main',
            bgcolor: state === 'here' ? 'primary.main' : 'background.paper',
          },
        }}
      >
        <Box component="span" sx={visuallyHidden}>
          {words}
        </Box>
      </ButtonBase>
    </Tooltip>
  );
}
