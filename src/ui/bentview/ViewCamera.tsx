'use client';

import { OrbitControls, OrthographicCamera, PerspectiveCamera } from '@react-three/drei';
import { useFrame, useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { Vector3, type OrthographicCamera as Ortho, type PerspectiveCamera as Perspective } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import type { ViewName } from '../state/session-store';
import type { Vec3 } from '../../core/math/vec3';
import { fitCamera } from './fit-camera';
import { useWheelSpeed } from './use-wheel-speed';
import type { Sphere } from './scene-box';

const FOV = 36;
/** From the middle of the scene towards the camera. The plan is seen from above with a breath of tilt, so that up is defined. */
const DIRECTIONS: Readonly<Record<ViewName, readonly [number, number, number]>> = {
  free: [0.36, 0.56, 0.86],
  above: [0, 1, 0.0001],
  front: [0, 0, 1],
  side: [1, 0, 0],
};

export interface ViewCameraProps {
  readonly view: ViewName;
  /** Frames `places` anew whenever this number changes. */
  readonly framing: number;
  readonly places: readonly Vec3[];
  /** Round the whole scene: how near and far the camera must see. */
  readonly sphere: Sphere;
  /** Pixels at the top that things lie over. */
  readonly toolbar?: number;
  /** The pointer is wanted for something else. */
  readonly isStill?: boolean;
}

/** A camera that turns freely, or looks straight from above, the front or the side without perspective. */
export function ViewCamera({ view, framing, sphere, places, toolbar = 0, isStill = false }: ViewCameraProps) {
  const camera = useThree((s) => s.camera) as Perspective | Ortho;
  const controls = useThree((s) => s.controls) as Controls | null;
  const { width, height } = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  const latest = useRef({ sphere, places });
  const fitted = useRef('');
  // Before the next picture: one that is drawn with the size of before may cut off what has just grown.
  useLayoutEffect(() => {
    latest.current = { sphere, places };
  });

  useEffect(() => {
    // Camera and controls follow the view a render later: wait until all three belong together.
    const isFlat = 'isOrthographicCamera' in camera;
    if (!controls || controls.object !== camera || isFlat === (view === 'free')) return;
    // A window of another size is no reason to look elsewhere.
    const asked = `${view} ${framing}`;
    if (fitted.current === asked) return;
    fitted.current = asked;
    const direction = new Vector3(...DIRECTIONS[view]).normalize();
    controls.target.copy(
      fitCamera(camera, direction, latest.current.places, width / height, {
        above: toolbar / height,
        below: 0,
      }),
    );
    controls.update();
    invalidate();
  }, [camera, controls, view, framing, width, height, toolbar, invalidate]);

  useWheelSpeed();

  useFrame(({ camera }) => {
    const { centre, radius } = latest.current.sphere;
    const distance = camera.position.distanceTo(new Vector3(...centre));
    const near = view === 'free' ? Math.max(distance - radius * 1.6, distance * 0.01, 0.001) : 0.01;
    const far = distance + radius * 8;
    const lens = camera as Perspective | Ortho;
    if (Math.abs(lens.near - near) > near * 0.05 || Math.abs(lens.far - far) > far * 0.05) {
      lens.near = near;
      lens.far = far;
      lens.updateProjectionMatrix();
    }
  });

  return (
    <>
      <PerspectiveCamera makeDefault={view === 'free'} fov={FOV} />
      <OrthographicCamera makeDefault={view !== 'free'} />
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
