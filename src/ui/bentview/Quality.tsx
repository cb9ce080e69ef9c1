'use client';

import { useFrame, useThree } from '@react-three/fiber';
import { useEffect, useRef, useState, type RefObject } from 'react';
import type { OrbitControls as Controls } from 'three-stdlib';
import { Vector2, type Object3D, type WebGLRenderer, type WebGLRenderTarget } from 'three';
import { Numbers } from '../../core/math/numbers';
import { useApp, usePicture, useResults, useSession } from '../state/app-context';
import type { ResultsState } from '../state/results-store';
import { MIRRORED } from '../place/mirror';
import { CopyPicture } from './copy-picture';
import { drawnIn } from './drawn-in';
import { withQuickLooks } from './quick-looks';
import { screenPicture } from './screen-picture';
import type { Eye } from './lens-change';
import { Occlusion } from './occlusion';
import { StillLayer } from './still-layer';
import { useRest } from './use-rest';
import { useMovingRuns } from './use-moving-runs';

/** Milliseconds that a picture takes: slower ones are drawn coarser while something moves, quicker ones finer again. */
const SLOW = 80;
const QUICK = 30;
const FINER = 1.25;
/** Pixels of the picture per pixel of the page, at the least. */
const COARSEST = 0.7;
/** Priority of the frame that draws. */
const DRAWS = 1;

/** While something moves shadows stand; then, and while something is worked out, the picture is coarser on a slow machine; when it rests all is as fine as can be. */
export function Quality() {
  const { gl, invalidate } = useThree();
  const controls = useThree((s) => s.controls) as Controls | null;
  const [isTurned, setTurned] = useState(false);
  const isDragging = useSession((s) => s.isDragging);
  const isPlaying = useSession((s) => s.isPlaying);
  const isRiding = useSession((s) => s.ride !== undefined && !s.ride.isHeld);
  const isFine = usePicture((s) => s.isFine);
  const isWorking = useResults((s) => s.busy.size > 0);
  const isMoving = isDragging || isTurned || isPlaying || isRiding;
  /** Another picture comes soon: this one is not looked at for long. */
  const isPassing = isMoving || isWorking;
  const share = useRef(1);
  const movesNow = useRef(false);
  const shareOfMoves = useRef<number>(undefined);
  const moving = useMovingRuns();
  const { results: resultsStore } = useApp();
  const isMoved = ({ userData }: Object3D): boolean => userData.moves === true || moving.has(userData.run as string);

  useEffect(() => {
    if (!controls) return;
    const begin = () => {
      share.current = shareOfMoves.current ?? 1; // with the very first picture
      setTurned(true);
    };
    const end = () => setTurned(false);
    controls.addEventListener('start', begin);
    controls.addEventListener('end', end);
    return () => {
      controls.removeEventListener('start', begin);
      controls.removeEventListener('end', end);
    };
  }, [controls]);

  useEffect(() => {
    movesNow.current = isMoving;
    share.current = isPassing || !isFine ? (shareOfMoves.current ?? 1) : 1;
    if (isPassing) return;
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [gl, isFine, isMoving, isPassing, invalidate]);

  const [numbers] = useState(() => new Numbers());
  const [copy] = useState(() => new CopyPicture());
  const [still] = useState(() => new StillLayer(copy));
  const smooth = useRef<WebGLRenderTarget>(undefined);
  const isShown = usePicture((s) => s.picture) === 'show';
  const [occlusion] = useState(() => new Occlusion());
  const rest = useRest(invalidate);
  useEffect(() => () => occlusion.dispose(), [occlusion]);
  useEffect(
    () => () => {
      copy.dispose();
      still.dispose();
      smooth.current?.dispose();
    },
    [copy, still],
  );

  // A priority of its own: from here on the picture is drawn here and nowhere else.
  useFrame(({ scene, camera }) => {
    // Before the picture is drawn, so that it is not drawn once more for this.
    const wanted = Math.min(Math.max(window.devicePixelRatio, 1), 2) * share.current;
    if (gl.getPixelRatio() !== wanted) gl.setPixelRatio(wanted);
    // A run that grows takes its shadow along where there is time for it.
    gl.shadowMap.autoUpdate = !isDragging && !isTurned && (share.current === 1 || !isMoving);
    const drawn = share.current;
    const isSmooth = drawn === 1 && isFine;
    if (isSmooth) gl.setRenderTarget(fitting(gl, smooth));
    const isRested = isSmooth && isShown && !isPassing && rest.isNow() && occlusion.isReady(scene, camera, invalidate);
    // What water mirrors is drawn at rest, on a quick machine always.
    if (isRested || (isSmooth && isShown && shareOfMoves.current === 1)) camera.layers.enable(MIRRORED);
    const isDraggingRuns = isDragging && moving.size > 0;
    const key = isDraggingRuns ? keyOf(resultsStore.getState().results, moving, numbers) : '';
    const isKeptAnew = isDraggingRuns && still.draw(gl, scene, camera, isMoved, key);
    if (!isDraggingRuns) {
      // A slow machine draws the place plainly while something moves.
      if (isMoving && isShown && drawn < 1) withQuickLooks(scene, () => gl.render(scene, camera));
      else gl.render(scene, camera);
      still.dispose();
    }
    camera.layers.disable(MIRRORED);
    if (isSmooth) {
      const distance = camera.position.distanceTo(controls?.target ?? camera.position);
      const shade = isRested
        ? { texture: occlusion.draw(gl, scene, camera, smooth.current!, distance), camera: camera as Eye, distance }
        : undefined;
      gl.setRenderTarget(null);
      copy.draw(gl, smooth.current!, shade);
      if (isShown && !isPassing && !isRested) rest.begin();
    }
    if (isKeptAnew) return; // how long this took says nothing of the pictures to come
    void drawnIn(gl.getContext() as WebGL2RenderingContext).then((took) => {
      // At rest a first guess only: with the shadows it takes longer.
      if (isMoving) {
        shareOfMoves.current = nextShare(drawn, took);
        if (movesNow.current) share.current = shareOfMoves.current; // the last picture of a move is told of when all rests
      } else shareOfMoves.current ??= nextShare(1, took);
    });
  }, DRAWS);
  return null;
}

/** The smooth picture in the size of the view. */
function fitting(gl: WebGLRenderer, kept: RefObject<WebGLRenderTarget | undefined>): WebGLRenderTarget {
  const { x, y } = gl.getDrawingBufferSize(new Vector2());
  kept.current ??= screenPicture(x, y, true);
  kept.current.setSize(x, y);
  return kept.current;
}

/** The time goes with the number of pixels. */
function nextShare(share: number, took: number): number {
  if (took > SLOW) return Math.max(share * Math.sqrt(SLOW / took), COARSEST);
  return took < QUICK ? Math.min(share * FINER, 1) : share;
}

/** Which results are drawn of the runs that stand still. */
function keyOf(results: ResultsState['results'], moving: ReadonlySet<string>, numbers: Numbers): string {
  return [...results]
    .filter(([id]) => !moving.has(id))
    .map(([id, result]) => `${id}:${numbers.of(result)}`)
    .join();
}
