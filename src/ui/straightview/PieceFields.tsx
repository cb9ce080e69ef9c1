'use client';

import { Box, Button, Popover, Typography } from '@mui/material';
import { letterOf } from '../../core/layout/pattern';
import type { PieceEdit } from '../../core/layout/laying-spec';
import { editPiece } from '../../project/commands/courses';
import type { Course, Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { useEdit, useSet } from '../state/app-context';
import { AS_LAID } from './piece-menu';

const LAID = { value: 'laid', label: 'as laid' };

export interface PieceFieldsProps {
  readonly run: Run;
  readonly course: Course;
  readonly piece: number;
  readonly anchor: Element;
  readonly onClose: () => void;
}

/** What is said of one piece beside all others: hidden, of another segment, moved or turned. */
export function PieceFields({ run, course, piece, anchor, onClose }: PieceFieldsProps) {
  const edit = useEdit();
  const set = useSet();
  const own = course.laying.pieces.find((each) => each.piece === piece);
  const put = (change: Partial<PieceEdit>) =>
    edit((project) => editPiece(project, { run: run.id, course: course.id }, piece, change));
  const metres = (key: 'along' | 'up' | 'side', label: string) => (
    <NumberField
      label={label}
      quantity="length"
      step={0.01}
      min={-1e4}
      max={1e4}
      value={own?.[key] ?? 0}
      initial={0}
      onChange={(value) => put({ [key]: value })}
    />
  );
  const bodies = [course.segment, ...course.others].map((_, body) => ({ value: `${body}`, label: letterOf(body) }));
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'center' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'center' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': `Piece ${piece + 1}`, sx: { width: 250, p: 3 } } }}
    >
      <Typography sx={{ fontWeight: 650 }}>Piece {piece + 1}</Typography>
      <SwitchField label="Hidden" value={own?.hidden === true} onChange={(on) => put({ hidden: on || undefined })} />
      {course.others.length > 0 && (
        <ChoiceField
          label="Segment"
          value={`${own?.body ?? LAID.value}`}
          choices={[LAID, ...bodies]}
          onChange={(value) => put({ body: value === LAID.value ? undefined : Number(value) })}
        />
      )}
      {metres('along', 'Along')}
      {metres('up', 'Above (U)')}
      {metres('side', 'To the right (S)')}
      <NumberField
        label="Turned by"
        quantity="angle"
        step={Math.PI / 36}
        value={own?.turn ?? 0}
        initial={0}
        onChange={(turn) => put({ turn })}
      />
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mt: 1 }}>
        <Button variant="text" color="secondary" onClick={() => put(AS_LAID)}>
          As laid
        </Button>
        <Button
          variant="text"
          color="secondary"
          onClick={() => {
            onClose();
            set({ dialog: 'pieces' });
          }}
        >
          All pieces
        </Button>
      </Box>
    </Popover>
  );
}
