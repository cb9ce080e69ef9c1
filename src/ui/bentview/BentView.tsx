'use client';

import './quiet-three';
import { Box, Typography } from '@mui/material';
import { useState, type WheelEvent } from 'react';
import { useProject, useResults, useRun, useRunResult, useSession } from '../state/app-context';
import { CompareBar } from '../compare/CompareBar';
import { CompareEdge } from '../compare/CompareEdge';
import { EmptyProject } from './EmptyProject';
import { useKitDrop } from '../kits/use-kit-drop';
import { RowMenu } from '../ticket/RowMenu';
import { usePlace } from '../place/use-place';
import { AxisMark } from './AxisMark';
import { ChoosingBox } from './ChoosingBox';
import { FindingMarks } from './FindingMarks';
import { GridNote } from './GridNote';
import { GuideDisc } from './GuideDisc';
import { HeadroomLine } from './HeadroomLine';
import { PathOverlay } from './PathOverlay';
import { PenOverlay } from './PenOverlay';
import { RideBar } from './RideBar';
import { RingOverlay } from './RingOverlay';
import { RulerOverlay } from './RulerOverlay';
import { Scene } from './Scene';
import { SceneGuard } from './SceneGuard';
import { PieceMark } from './PieceMark';
import { ScenePolyline } from './ScenePolyline';
import { StationMarker } from './StationMarker';
import { TOOL_WORDS } from './tools';
import { useFollow } from './use-follow';
import { usePenFocus } from './use-pen-focus';
import { useStart } from './use-start';
import { useViewMenu } from './use-view-menu';
import { useViewPointer } from './use-view-pointer';
import { Viewport } from './viewport';
import { ViewToolbar } from './ViewToolbar';

const SAID = {
  position: 'absolute',
  bottom: 14,
  left: '50%',
  transform: 'translateX(-50%)',
  width: 'max-content',
  maxWidth: '94%',
  px: 4,
  py: 1.5,
  borderRadius: 1,
  bgcolor: 'secondary.main',
  color: 'background.paper',
  pointerEvents: 'none',
} as const;
const LOST = { ...SAID, bottom: '45%' } as const;

/** A wheel that turns over a point or a button means the view below it. */
function turnedOver({ currentTarget, target, nativeEvent }: WheelEvent<HTMLElement>): void {
  const canvas = currentTarget.querySelector('canvas');
  if (!canvas || target === canvas) return;
  const { deltaX, deltaY, deltaMode, ctrlKey, clientX, clientY } = nativeEvent;
  const init = { deltaX, deltaY, deltaMode, ctrlKey, clientX, clientY, bubbles: true, cancelable: true };
  canvas.dispatchEvent(new window.WheelEvent('wheel', init));
}

/** The 3D view with what lies over it. */
export function BentView() {
  const [viewport] = useState(() => new Viewport());
  const run = useRun();
  const path = useProject((s) => s.project.paths.find(({ id }) => id === run?.path));
  const result = useRunResult(run?.id);
  const tool = useSession((s) => s.tool);
  const view = useSession((s) => s.view);
  const isResultOnly = useSession((s) => s.isResultOnly);
  const isEmpty = useProject((s) => s.project.runs.length === 0 && s.project.guides.length === 0);
  const isBusy = useResults((s) => s.busy.size > 0);
  const hint = useSession((s) => s.hint);
  const place = usePlace();
  const hasGround = place.isShown && place.ground !== null;
  const isLost = useSession((s) => s.isViewLost);
  const segmentBox = useStart(path);
  const { handlers, pen, rulerAt, stroke, box } = useViewPointer(viewport, path, segmentBox);
  const section = usePenFocus(tool);
  useFollow(viewport, path);
  const viewMenu = useViewMenu(viewport, path);
  useKitDrop(viewport, () => section.current?.getBoundingClientRect());
  return (
    <Box
      component="section"
      ref={section}
      tabIndex={-1}
      aria-label="Bent view"
      aria-busy={isBusy}
      {...handlers}
      onPointerDownCapture={viewMenu.onPointerDownCapture}
      onContextMenu={viewMenu.onContextMenu}
      onWheel={turnedOver}
      sx={{
        position: 'relative',
        height: '100%',
        overflow: 'hidden',
        outline: 'none',
        cursor: tool === 'shape' ? 'default' : 'crosshair',
        background: (t) => `linear-gradient(${t.vars!.palette.tokens.paper}, ${t.vars!.palette.tokens.ground} 38%)`,
      }}
    >
      <SceneGuard>
        <Scene viewport={viewport} start={segmentBox} />
      </SceneGuard>
      {/* One box for everything over the scene: its children place themselves, and only they take the pointer. */}
      <Box
        data-overlay
        sx={{
          position: 'absolute',
          inset: 0,
          isolation: 'isolate',
          pointerEvents: 'none',
          display: isResultOnly ? 'none' : 'block',
        }}
      >
        <ScenePolyline viewport={viewport} places={stroke.length > 0 ? stroke : hint} />
        <PieceMark viewport={viewport} />
        {result && run?.visible && <HeadroomLine viewport={viewport} />}
        {tool === 'ruler' && <RulerOverlay viewport={viewport} to={rulerAt} />}
        {box && <ChoosingBox {...box} />}
        {result && run?.visible && <FindingMarks viewport={viewport} path={result.path} />}
        {path && run?.visible && tool !== 'freehand' && tool !== 'ring' && (
          <PathOverlay viewport={viewport} path={path} />
        )}
        {tool === 'pen' && <PenOverlay viewport={viewport} pen={pen} />}
        <RingOverlay viewport={viewport} />
        <CompareEdge />
        <GuideDisc viewport={viewport} />
        {result && run?.visible && <StationMarker viewport={viewport} path={result.path} />}
      </Box>
      <Box
        sx={{
          position: 'absolute',
          top: 14,
          left: 14,
          right: 14,
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'flex-start',
          pointerEvents: 'none',
        }}
      >
        <ViewToolbar />
      </Box>
      <CompareBar />
      {tool !== 'shape' && (
        <Typography role="status" sx={SAID}>
          {TOOL_WORDS[tool].waits}
        </Typography>
      )}
      {viewMenu.menu && <RowMenu {...viewMenu.menu} onClose={viewMenu.close} />}
      <RideBar />
      {!isResultOnly && !hasGround && (view === 'free' || view === 'above') && <GridNote />}
      <AxisMark viewport={viewport} />
      {isLost && (
        <Typography role="status" sx={LOST}>
          The graphics were lost. They come back by themselves.
        </Typography>
      )}
      {isEmpty && <EmptyProject />}
    </Box>
  );
}
