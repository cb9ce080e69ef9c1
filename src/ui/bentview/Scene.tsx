'use client';

import { Canvas } from '@react-three/fiber';
import { useColorScheme } from '@mui/material/styles';
import { useCallback, useMemo, useReducer } from 'react';
import type { Box } from '../../core/mesh/box';
import type { Run } from '../../project/schema';
import { EdgeKeeper } from '../compare/EdgeKeeper';
import { OF_SIDE } from '../compare/sides';
import { useProject, useResults, useRun, useSession, useSet } from '../state/app-context';
import { courseView, type ResultsState, type RunResult } from '../state/results-store';
import { AS_GROUND, AS_GUIDE, FOR_WORK } from '../pictures/in-pictures';
import { PlaceGround } from '../place/PlaceGround';
import { Sky } from '../place/Sky';
import { usePlace } from '../place/use-place';
import { Water } from '../place/Water';
import { TOKENS } from '../tokens';
import { ContextGuard } from './ContextGuard';
import { FrameComb } from './FrameComb';
import { FrameReporter } from './FrameReporter';
import { GuideMeshes } from './GuideMeshes';
import { Ground } from './Ground';
import { LensKeeper } from './LensKeeper';
import { Lights } from './Lights';
import { PathLine } from './PathLine';
import { Quality } from './Quality';
import { RideCamera } from './RideCamera';
import { COARSEST } from './use-share';
import { CourseMesh } from './CourseMesh';
import { boundingSphere, framePlaces, sceneBox, sightPlaces, startBox } from './scene-box';
import { useLateFraming } from './use-late-framing';
import { ViewCamera } from './ViewCamera';
import { WheelMeshes } from './WheelMeshes';
import type { Viewport } from './viewport';

/** Pixels that the toolbar takes. */
const TOOLBAR = 56;

/** Teeth are as long as the segment reaches up, or half its width. */
const combSize = ({ min, max }: Box): number => Math.max(max[1], (max[2] - min[2]) / 2, 0.02);

interface ShownRun {
  readonly run: Run;
  readonly result: RunResult;
}

const shownOf = (runs: readonly Run[], results: ResultsState['results']): readonly ShownRun[] =>
  runs.flatMap((run) => (run.visible && results.has(run.id) ? [{ run, result: results.get(run.id)! }] : []));

const RunMeshes = ({ shown }: { shown: readonly ShownRun[] }) =>
  shown.flatMap(({ run, result }) =>
    result.courses.map((course) => <CourseMesh key={`${run.id} ${course.id}`} run={run.id} course={course} />),
  );

/** The drawn scene: all visible runs on the ground. Drawn on demand only. */
export function Scene({ viewport, start }: { viewport: Viewport; start: Box | undefined }) {
  const runs = useProject((s) => s.project.runs);
  const selected = useRun();
  const results = useResults((s) => s.results);
  const view = useSession((s) => s.view);
  const isFlat = useSession((s) => s.isFlat);
  const lookFrom = useSession((s) => s.lookFrom);
  const isRiding = useSession((s) => s.ride !== undefined);
  const set = useSet();
  const onCell = useCallback((cell: number) => set({ cell }), [set]);
  const tool = useSession((s) => s.tool);
  const isResultOnly = useSession((s) => s.isResultOnly);
  const comb = useSession((s) => s.comb);
  const framing = useSession((s) => s.framing);
  const { mode } = useColorScheme();
  const tokens = TOKENS[mode === 'dark' ? 'dark' : 'light'];
  const shown = useMemo(() => shownOf(runs, results), [runs, results]);
  const held = useSession((s) => s.held);
  const heldRuns = useMemo(() => (held ? shownOf(held.project.runs, held.results) : []), [held]);
  const empty = useMemo(() => start && startBox(start), [start]);
  const box = useMemo(
    () =>
      sceneBox(
        shown.map(({ result }) => result),
        empty,
      ),
    [shown, empty],
  );
  const sphere = useMemo(() => boundingSphere(box), [box]);
  const place = usePlace();
  const ground = place.groundHeight ?? Math.min(0, box.min[1]);
  const hasGround = place.isShown && place.ground !== null;
  const own = shown.find(({ run }) => run.id === selected?.id);
  const guide = useSession((s) => s.guide);
  const places = useMemo(() => {
    const corners = framing.what === 'run' ? [] : viewport.guideCorners(framing.what === 'guide' ? guide : undefined);
    if (framing.what === 'guide' && corners.length > 0) return corners;
    if (framing.what !== 'all' && own) return framePlaces([own.result]);
    return [
      ...framePlaces(
        shown.map(({ result }) => result),
        empty,
      ),
      ...corners,
    ];
  }, [framing, guide, own, shown, viewport, empty]);
  const wanted = framing.what === 'run' && own ? own.result : undefined;
  const sights = useMemo(() => (wanted ? sightPlaces(wanted) : []), [wanted]);
  const late = useLateFraming(framing.count);
  const [made, anew] = useReducer((count: number) => count + 1, 0);
  return (
    <Canvas
      key={made}
      frameloop="demand"
      shadows="percentage"
      dpr={COARSEST} // what is drawn first; Quality knows more
      gl={{ antialias: false, alpha: true, preserveDrawingBuffer: true }}
      aria-hidden
      style={{ position: 'absolute', inset: 0 }}
    >
      <ViewCamera
        view={view}
        framing={framing.count * 2 + (late === framing.count ? 1 : 0)}
        places={places}
        sights={sights}
        sphere={sphere}
        isFlat={isFlat}
        lookFrom={lookFrom}
        toolbar={TOOLBAR}
        isStill={tool === 'freehand' || tool === 'choose' || isRiding}
      />
      <Lights sphere={sphere} place={place} />
      {place.isShown && <Sky place={place} sphere={sphere} />}
      {place.isShown && place.ground && <PlaceGround finish={place.ground} height={ground} sphere={sphere} />}
      {place.isShown && place.water !== null && <Water place={place} level={place.water} sphere={sphere} />}
      <Ground
        height={ground}
        sphere={sphere}
        hasGrid={!isResultOnly && !hasGround}
        hasShadow={!hasGround}
        isPaper={place.isShown}
        onCell={onCell}
      />
      <EdgeKeeper edge={held?.seen === 'both' ? held.edge : undefined} />
      {held?.seen !== 'A' && (
        <group userData={OF_SIDE.B}>
          <RunMeshes shown={shown} />
        </group>
      )}
      {held && held.seen !== 'B' && (
        <group userData={OF_SIDE.A}>
          <RunMeshes shown={heldRuns} />
        </group>
      )}
      <group userData={FOR_WORK}>
        {own && !isResultOnly && <PathLine line={own.result.path.line} colour={tokens.leaf} casing={tokens.paper} />}
        {own && comb && !isResultOnly && (
          <FrameComb path={own.result.path} size={combSize(courseView(own.result).segment.box)} colour={tokens.sky} />
        )}
      </group>
      <group userData={AS_GROUND}>
        <GuideMeshes scenery viewport={viewport} colour={tokens.soft} chosenColour={tokens.leaf} />
      </group>
      <group userData={AS_GUIDE} visible={!isResultOnly}>
        <GuideMeshes scenery={false} viewport={viewport} colour={tokens.soft} chosenColour={tokens.leaf} />
        {shown.map(({ run, result }) => (
          <WheelMeshes key={run.id} run={run.id} wheels={result.wheels} colour={tokens.soft} />
        ))}
      </group>
      <RideCamera />
      <LensKeeper />
      <Quality />
      <ContextGuard onAnew={anew} />
      <FrameReporter viewport={viewport} />
    </Canvas>
  );
}
