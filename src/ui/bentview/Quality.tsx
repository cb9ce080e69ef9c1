'use client';

import { useFrame, useThree } from '@react-three/fiber';
import { useEffect, useRef, useState } from 'react';
import type { OrbitControls as Controls } from 'three-stdlib';
import type { Object3D } from 'three';
import { Numbers } from '../../core/math/numbers';
import { useApp, useSession } from '../state/app-context';
import type { ResultsState } from '../state/results-store';
import { drawnIn } from './drawn-in';
import { StillLayer } from './still-layer';
import { useMovingRuns } from './use-moving-runs';

/** Milliseconds from one picture to the next: slower ones are drawn coarser while something moves, quicker ones finer again. */
const SLOW = 80;
const QUICK = 30;
const COARSER = 0.7;
const FINER = 1.25;
/** Pixels of the picture per pixel of the page, at the least. */
const COARSEST = 0.5;
/** Priority of the frame that draws. */
const DRAWS = 1;

/** While something moves shadows stand, and on a slow machine the picture is coarser; when it rests all is as fine as can be. */
export function Quality() {
  const { gl, invalidate } = useThree();
  const controls = useThree((s) => s.controls) as Controls | null;
  const [isTurned, setTurned] = useState(false);
  const isDragging = useSession((s) => s.isDragging);
  const isPlaying = useSession((s) => s.isPlaying);
  const isMoving = isDragging || isTurned || isPlaying;
  const share = useRef(1);
  const moving = useMovingRuns();
  const { results: resultsStore } = useApp();
  const isMoved = ({ userData }: Object3D): boolean => userData.moves === true || moving.has(userData.run as string);

  useEffect(() => {
    if (!controls) return;
    const begin = () => setTurned(true);
    const end = () => setTurned(false);
    controls.addEventListener('start', begin);
    controls.addEventListener('end', end);
    return () => {
      controls.removeEventListener('start', begin);
      controls.removeEventListener('end', end);
    };
  }, [controls]);

  useEffect(() => {
    if (isMoving) return;
    gl.shadowMap.needsUpdate = true;
    share.current = 1;
    invalidate();
  }, [gl, isMoving, invalidate]);

  const still = useRef<StillLayer>(undefined);
  const [numbers] = useState(() => new Numbers());
  useEffect(() => () => still.current?.dispose(), []);

  // A priority of its own: from here on the picture is drawn here and nowhere else.
  useFrame(({ scene, camera }) => {
    // Before the picture is drawn, so that it is not drawn once more for this.
    const wanted = Math.min(Math.max(window.devicePixelRatio, 1), 2) * share.current;
    if (gl.getPixelRatio() !== wanted) gl.setPixelRatio(wanted);
    // A run that grows takes its shadow along where there is time for it.
    gl.shadowMap.autoUpdate = !isDragging && !isTurned && share.current === 1;
    if (isDragging && moving.size > 0) {
      still.current ??= new StillLayer();
      still.current.draw(gl, scene, camera, isMoved, keyOf(resultsStore.getState().results, moving, numbers));
      return; // quick enough as it is
    }
    gl.render(scene, camera);
    still.current?.dispose();
    still.current = undefined;
    if (!isMoving) return;
    void drawnIn(gl.getContext() as WebGL2RenderingContext).then((took) => {
      const next = took > SLOW ? share.current * COARSER : took < QUICK ? share.current * FINER : share.current;
      share.current = Math.min(Math.max(next, COARSEST), 1);
    });
  }, DRAWS);
  return null;
}

/** Which results are drawn of the runs that stand still. */
function keyOf(results: ResultsState['results'], moving: ReadonlySet<string>, numbers: Numbers): string {
  return [...results]
    .filter(([id]) => !moving.has(id))
    .map(([id, result]) => `${id}:${numbers.of(result)}`)
    .join();
}
