import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Box, ButtonBase } from '@mui/material';
import { useState, type MouseEvent, type ReactNode } from 'react';
import { RowMenu, type MenuPlace, type RowMenuItem } from './RowMenu';

export interface ListRowProps {
  readonly id: string;
  readonly isSelected: boolean;
  /** Its name is being typed: no dragging then. */
  readonly isRenamed: boolean;
  readonly look: { readonly height: number; readonly indent: number; readonly hasBar?: boolean };
  /** The button that chooses it: what it says and does. */
  readonly button: Readonly<Record<string, unknown>> & { readonly onClick: (event: MouseEvent) => void };
  readonly menu: readonly RowMenuItem[];
  /** A figure, in the place of which stand buttons while the pointer is on the row, or always. */
  readonly end: { readonly figure: string; readonly buttons: ReactNode; readonly hasButtons: boolean };
  readonly children: ReactNode;
}

/** A row of the list of runs: chosen by a click, moved by dragging, with a menu of its own. */
export function ListRow({ id, isSelected, isRenamed, look, button, menu, end, children }: ListRowProps) {
  const [place, setPlace] = useState<MenuPlace>();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id, disabled: isRenamed });
  return (
    <Box
      ref={setNodeRef}
      onContextMenu={(event) => {
        event.preventDefault();
        event.stopPropagation();
        setPlace({ x: event.clientX, y: event.clientY });
      }}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      sx={{
        position: 'relative',
        zIndex: isDragging ? 1 : 'auto',
        display: 'flex',
        alignItems: 'center',
        height: look.height,
        bgcolor: (t) => (isSelected ? t.vars!.palette.tokens.leafWash : t.vars!.palette.background.paper),
        boxShadow: look.hasBar ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
        '& .buttons': { position: 'absolute', right: 6, display: 'flex', opacity: end.hasButtons ? 1 : 0 },
        '&:hover .buttons, & .buttons:focus-within': { opacity: 1 },
        '&:hover .figure, &:has(.buttons:focus-within) .figure': { visibility: 'hidden' },
      }}
    >
      <ButtonBase
        component={isRenamed ? 'div' : 'button'}
        {...listeners}
        {...button}
        sx={{
          flex: 1,
          minWidth: 0,
          height: '100%',
          pl: look.indent,
          gap: 2.5,
          justifyContent: 'flex-start',
          fontWeight: look.hasBar ? 650 : 400,
        }}
      >
        {children}
        <Box
          component="span"
          className="figure"
          sx={{
            color: isSelected ? 'text.primary' : 'text.secondary',
            fontWeight: 400,
            mr: 4,
            visibility: end.hasButtons ? 'hidden' : 'visible',
          }}
        >
          {end.figure}
        </Box>
      </ButtonBase>
      <Box className="buttons">{end.buttons}</Box>
      {place && <RowMenu items={menu} place={place} onClose={() => setPlace(undefined)} />}
    </Box>
  );
}
