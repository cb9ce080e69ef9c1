'use client';

import { useColorScheme } from '@mui/material/styles';
import { useThree } from '@react-three/fiber';
import { useEffect, useRef, useState, type RefObject } from 'react';
import type { OrbitControls as Controls } from 'three-stdlib';
import { Vector2, type Camera, type Object3D, type Scene, type WebGLRenderer, type WebGLRenderTarget } from 'three';
import { Numbers } from '../../core/math/numbers';
import { useApp, usePicture, useResults } from '../state/app-context';
import type { ResultsState } from '../state/results-store';
import { drawSides, hasEdge } from '../compare/sides';
import { askMirrors } from '../place/mirror';
import { CopyPicture } from './copy-picture';
import { drawnIn } from './drawn-in';
import { withQuickLooks } from './quick-looks';
import { screenPicture } from './screen-picture';
import type { Eye } from './lens-change';
import { Occlusion } from './occlusion';
import { shadowKey } from './shadow-key';
import { StillLayer } from './still-layer';
import { useRest } from './use-rest';
import { useMovingRuns } from './use-moving-runs';
import { useShare } from './use-share';
import { useGuarded, useGuardedFrame } from './use-guarded-frame';

/** Milliseconds without another picture until one is drawn that takes its time, and on a slow machine, which it would keep from what comes next. */
const REST = 250;
const REST_OF_SLOW = 700;
/** Priority of the frame that draws. */
const DRAWS = 1;

/** While something moves shadows stand; then, and while something is worked out, the picture is coarser on a slow machine; when it rests all is as fine as can be. */
export function Quality() {
  const { gl, invalidate } = useThree();
  const controls = useThree((s) => s.controls) as Controls | null;
  const { isDragging, isTurned, isMoving, isPassing, now, inPassing, took } = useShare();
  const isFine = usePicture((s) => s.isFine);
  const isWorking = useResults((s) => s.busy.size > 0);
  const hasRuns = useResults((s) => s.results.size > 0);
  const moving = useMovingRuns();
  const { document, results: resultsStore } = useApp();
  const guarded = useGuarded();
  const { mode } = useColorScheme();
  const isMoved = ({ userData }: Object3D): boolean => userData.moves === true || moving.has(userData.run as string);

  useEffect(() => {
    if (isPassing) return;
    gl.shadowMap.autoUpdate = true; // the lights look at it before the next picture
    invalidate();
  }, [gl, isFine, isPassing, invalidate]);
  useEffect(() => {
    gl.shadowMap.needsUpdate = true;
  }, [gl, isFine]);

  const [numbers] = useState(() => new Numbers());
  const [copy] = useState(() => new CopyPicture());
  const [still] = useState(() => new StillLayer(copy));
  const smooth = useRef<WebGLRenderTarget>(undefined);
  const isShown = usePicture((s) => s.picture) === 'show';
  const [occlusion] = useState(() => new Occlusion());
  const rest = useRest();
  const casts = useRef('');
  useEffect(() => () => occlusion.dispose(), [occlusion]);
  useEffect(
    () => () => {
      copy.dispose();
      still.dispose();
      smooth.current?.dispose();
    },
    [copy, still],
  );

  /** Shades the corners of the picture that was drawn last. */
  const shade = (scene: Scene, camera: Camera) => {
    if (!smooth.current || !occlusion.isReady(scene, camera, invalidate)) return;
    const distance = camera.position.distanceTo(controls?.target ?? camera.position);
    const texture = occlusion.draw(gl, scene, camera, smooth.current, distance);
    gl.setRenderTarget(null);
    copy.draw(gl, smooth.current, { texture, camera: camera as Eye, distance });
  };

  // A priority of its own: from here on the picture is drawn here and nowhere else.
  useGuardedFrame(({ scene, camera }) => {
    rest.stop();
    const share = now();
    // Before the picture is drawn, so that it is not drawn once more for this.
    const wanted = Math.min(Math.max(window.devicePixelRatio, 1), 2) * share;
    if (gl.getPixelRatio() !== wanted) gl.setPixelRatio(wanted);
    // A run that grows takes its shadow along where there is time for it.
    const areShadowsAnew = !isDragging && !isTurned && (share === 1 || !isMoving);
    const isFirst = isWorking && inPassing() === undefined; // shadows come with the next one
    const casting = areShadowsAnew && !isFirst ? shadowKey(scene) : casts.current;
    gl.shadowMap.autoUpdate = casting !== casts.current;
    casts.current = casting;
    const isSmooth = share === 1 && isFine;
    if (isSmooth) gl.setRenderTarget(fitting(gl, smooth));
    const { results } = resultsStore.getState();
    const states = [document.getState().stored, results].map((state) => numbers.of(state));
    const mirrored = isSmooth && isShown ? [...states, mode, gl.info.memory.textures].join() : undefined;
    const isDraggingRuns = isDragging && moving.size > 0 && !hasEdge(scene);
    const key = isDraggingRuns ? keyOf(results, moving, numbers) : '';
    const isKeptAnew = isDraggingRuns && still.draw(gl, scene, camera, isMoved, key);
    if (!isDraggingRuns) {
      const render = () => gl.render(scene, camera);
      drawSides(gl, scene, (side) => {
        askMirrors(camera, mirrored && `${mirrored} ${side}`);
        // A slow machine draws the place plainly while something moves.
        if (isMoving && isShown && share < 1) withQuickLooks(scene, render);
        else render();
      });
      still.dispose();
    }
    gl.shadowMap.autoUpdate = areShadowsAnew;
    askMirrors(camera, undefined);
    if (isSmooth) {
      gl.setRenderTarget(null);
      copy.draw(gl, smooth.current!);
    }
    if (isSmooth && isShown && !isPassing)
      rest.begin(inPassing() === 1 ? REST : REST_OF_SLOW, () => guarded(() => shade(scene, camera)));
    if (isKeptAnew || !hasRuns) return; // how long this took says nothing of the pictures to come
    void drawnIn(gl.getContext() as WebGL2RenderingContext).then((milliseconds) => took(share, milliseconds));
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

/** Which results are drawn of the runs that stand still. */
function keyOf(results: ResultsState['results'], moving: ReadonlySet<string>, numbers: Numbers): string {
  return [...results]
    .filter(([id]) => !moving.has(id))
    .map(([id, result]) => `${id}:${numbers.of(result)}`)
    .join();
}
