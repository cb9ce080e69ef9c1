'use client';

import { Box, IconButton } from '@mui/material';
import KeyboardArrowDownRounded from '@mui/icons-material/KeyboardArrowDownRounded';
import KeyboardArrowLeftRounded from '@mui/icons-material/KeyboardArrowLeftRounded';
import KeyboardArrowRightRounded from '@mui/icons-material/KeyboardArrowRightRounded';
import KeyboardArrowUpRounded from '@mui/icons-material/KeyboardArrowUpRounded';
import { useState, type ReactNode } from 'react';
import { Group, Panel, Separator, usePanelRef } from 'react-resizable-panels';
import { HEADING, HEIGHT } from './straightview/StraightView';

const TICKET = 312;
/** How narrow and how wide it may be drawn. */
const LEAST_TICKET = 280;
const MOST_TICKET = 560;
const FOLDED_TICKET = 30;
/** Below the ticket, for the button that folds it away. */
const FOOT = 30;

export interface PanesProps {
  readonly ticket: ReactNode;
  readonly bentView: ReactNode;
  readonly straightView: ReactNode;
}

/** The ticket beside the two views; ticket and straight view fold away, the straight view is drawn taller by its edge. */
export function Panes({ ticket, bentView, straightView }: PanesProps) {
  const ticketPanel = usePanelRef();
  const straightPanel = usePanelRef();
  const [isTicketFolded, setTicketFolded] = useState(false);
  const [isStraightFolded, setStraightFolded] = useState(false);
  const toggle = (panel: typeof ticketPanel, isFolded: boolean) =>
    isFolded ? panel.current?.expand() : panel.current?.collapse();
  return (
    <Box component="section" aria-label="Workplace" sx={{ minHeight: 0, minWidth: 0 }}>
      <Group orientation="horizontal" style={{ height: '100%' }}>
        <Panel
          panelRef={ticketPanel}
          defaultSize={TICKET}
          minSize={LEAST_TICKET}
          maxSize={MOST_TICKET}
          collapsible
          collapsedSize={FOLDED_TICKET}
          groupResizeBehavior="preserve-pixel-size"
          onResize={({ inPixels }) => setTicketFolded(inPixels < LEAST_TICKET - 1)}
          style={{ position: 'relative' }}
        >
          <Box sx={{ height: `calc(100% - ${FOOT}px)`, visibility: isTicketFolded ? 'hidden' : 'visible' }}>
            {ticket}
          </Box>
          <Box
            sx={{
              height: FOOT,
              border: '0 solid',
              borderColor: 'divider',
              ...(!isTicketFolded && { borderRightWidth: 1, borderTopWidth: 1, bgcolor: 'background.paper' }),
            }}
          />
          <Fold
            label={isTicketFolded ? 'Open the ticket' : 'Fold the ticket away'}
            isFolded={isTicketFolded}
            onToggle={() => toggle(ticketPanel, isTicketFolded)}
            at={{ bottom: 2, right: isTicketFolded ? 1 : 6 }}
          >
            {isTicketFolded ? <KeyboardArrowRightRounded /> : <KeyboardArrowLeftRounded />}
          </Fold>
        </Panel>
        <Separator aria-label="Width of the ticket" className="pane-side" />
        <Panel minSize={400}>
          <Box component="main" sx={{ height: '100%' }}>
            <Group orientation="vertical">
              <Panel minSize={160}>{bentView}</Panel>
              <Separator aria-label="Height of the straight view" className="pane-edge" />
              <Panel
                panelRef={straightPanel}
                defaultSize={HEIGHT}
                minSize={140}
                collapsible
                collapsedSize={HEADING}
                groupResizeBehavior="preserve-pixel-size"
                onResize={({ inPixels }) => setStraightFolded(inPixels < HEADING + 20)}
                style={{ position: 'relative' }}
              >
                {straightView}
                <Fold
                  label={isStraightFolded ? 'Open the straight view' : 'Fold the straight view away'}
                  isFolded={isStraightFolded}
                  onToggle={() => toggle(straightPanel, isStraightFolded)}
                  at={{ top: 4, left: 104 }}
                >
                  {isStraightFolded ? <KeyboardArrowUpRounded /> : <KeyboardArrowDownRounded />}
                </Fold>
              </Panel>
            </Group>
          </Box>
        </Panel>
      </Group>
    </Box>
  );
}

interface FoldProps {
  readonly label: string;
  readonly isFolded: boolean;
  readonly onToggle: () => void;
  readonly at: { readonly top?: number; readonly bottom?: number; readonly left?: number; readonly right?: number };
  readonly children: ReactNode;
}

function Fold({ label, isFolded, onToggle, at, children }: FoldProps) {
  return (
    <IconButton
      aria-label={label}
      aria-expanded={!isFolded}
      size="small"
      onClick={onToggle}
      sx={{
        position: 'absolute',
        ...at,
        width: 26,
        height: 26,
        '& svg': { fontSize: 18 },
      }}
    >
      {children}
    </IconButton>
  );
}
