'use client';

import { OrbitControls, OrthographicCamera, PerspectiveCamera } from '@react-three/drei';
import { useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { Vector3 } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import type { Look, ViewName } from '../state/session-store';
import type { Vec3 } from '../../core/math/vec3';
import { fitCamera } from './fit-camera';
import { frameClear } from './frame-clear';
import { FOV, placeLens, sightOf, type Eye, type EyeSight } from './lens-change';
import { useWheelSpeed } from './use-wheel-speed';
import type { Sphere } from './scene-box';
import { useGuardedFrame } from './use-guarded-frame';

/** From the middle of the scene towards the camera. The plan is seen from above with a breath of tilt, so that up is defined. */
const DIRECTIONS: Readonly<Record<ViewName, readonly [number, number, number]>> = {
  free: [0.36, 0.56, 0.86],
  above: [0, 1, 0.0001],
  front: [0, 0, 1],
  side: [1, 0, 0],
};

export interface ViewCameraProps {
  readonly view: ViewName;
  /** Without perspective in the free view too. */
  readonly isFlat?: boolean;
  /** Frames `places` anew whenever this number changes. */
  readonly framing: number;
  readonly places: readonly Vec3[];
  /** Those that scenery should not hide. */
  readonly sights?: readonly Vec3[];
  /** A view that was asked for. */
  readonly lookFrom?: Look | undefined;
  /** Round the whole scene: how near and far the camera must see. */
  readonly sphere: Sphere;
  /** Pixels at the top that things lie over. */
  readonly toolbar?: number;
  /** The pointer is wanted for something else. */
  readonly isStill?: boolean;
}

/** A camera that turns freely, or looks straight from above, the front or the side without perspective. */
export function ViewCamera(props: ViewCameraProps) {
  const { view, isFlat = false, framing, lookFrom, sphere, places, sights = [], toolbar = 0, isStill = false } = props;
  const camera = useThree((s) => s.camera) as Eye;
  const controls = useThree((s) => s.controls) as Controls | null;
  const { width, height } = useThree((s) => s.size);
  const scene = useThree((s) => s.scene);
  const invalidate = useThree((s) => s.invalidate);
  const latest = useRef({ sphere, places, sights });
  const done = useRef({ view, framing: -1, look: 0 });
  const sight = useRef<EyeSight>(undefined);
  const wantsFlat = view !== 'free' || isFlat;
  // Before the next picture: one that is drawn with the size of before may cut off what has just grown.
  useLayoutEffect(() => {
    latest.current = { sphere, places, sights };
  });

  useEffect(() => {
    // Camera and controls follow the view a render later: wait until all three belong together.
    if (!controls || controls.object !== camera || 'isOrthographicCamera' in camera !== wantsFlat) return;
    const before = done.current;
    const look = lookFrom?.count ?? 0;
    done.current = { view, framing, look };
    if (look !== before.look && lookFrom)
      controls.target.copy(placeLens(camera, { eye: new Vector3(...lookFrom.position), target: new Vector3(...lookFrom.target) })); // prettier-ignore
    else if (view !== before.view || framing !== before.framing) {
      const direction = new Vector3(...DIRECTIONS[view]).normalize();
      const room = { above: toolbar / height, below: 0 };
      const { places, sights } = latest.current;
      const frame = (side: Vector3) => fitCamera(camera, side, places, width / height, room);
      controls.target.copy(view === 'free' ? frameClear(camera, scene, direction, sights, frame) : frame(direction));
    }
    // A lens of another kind looks from where the other one did; a window of another size is no reason to look elsewhere.
    else if (sight.current && sight.current.lens !== camera) controls.target.copy(placeLens(camera, sight.current));
    else return;
    controls.update();
    invalidate();
  }, [camera, controls, view, wantsFlat, framing, lookFrom, width, height, toolbar, scene, invalidate]);

  useWheelSpeed();

  useGuardedFrame(({ camera }) => {
    const lens = camera as Eye;
    const { centre, radius } = latest.current.sphere;
    const distance = camera.position.distanceTo(new Vector3(...centre));
    const near = 'isPerspectiveCamera' in lens ? Math.max(distance - radius * 1.6, Math.min(distance * 0.01, 0.2), 0.001) : 0.01; // prettier-ignore
    const far = distance + radius * 26; // as far as the ground goes
    if (Math.abs(lens.near - near) > near * 0.05 || Math.abs(lens.far - far) > far * 0.05) {
      lens.near = near;
      lens.far = far;
      lens.updateProjectionMatrix();
    }
    if (controls?.object === lens) sight.current = sightOf(lens, controls.target);
  });

  return (
    <>
      <PerspectiveCamera makeDefault={!wantsFlat} fov={FOV} />
      <OrthographicCamera makeDefault={wantsFlat} />
      <OrbitControls
        makeDefault
        enabled={!isStill}
        enableDamping={false}
        enableRotate={view === 'free'}
        maxPolarAngle={Math.PI * 0.94}
        screenSpacePanning
        zoomToCursor
      />
    </>
  );
}
