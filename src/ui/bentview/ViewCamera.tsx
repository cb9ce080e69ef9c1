'use client';

import { OrbitControls, OrthographicCamera, PerspectiveCamera } from '@react-three/drei';
import { useFrame, useThree } from '@react-three/fiber';
import { useEffect, useRef } from 'react';
import { MathUtils, Vector3, type OrthographicCamera as Ortho, type PerspectiveCamera as Perspective } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import type { ViewName } from '../state/session-store';
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
  /** Frames `sphere` anew whenever this number changes. */
  readonly framing: number;
  readonly sphere: Sphere;
}

/** A camera that turns freely, or looks straight from above, the front or the side without perspective. */
export function ViewCamera({ view, framing, sphere }: ViewCameraProps) {
  const controls = useRef<Controls>(null);
  const perspective = useRef<Perspective>(null);
  const ortho = useRef<Ortho>(null);
  const { width, height } = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  const latest = useRef(sphere);
  useEffect(() => {
    latest.current = sphere;
  });

  useEffect(() => {
    const camera = view === 'free' ? perspective.current : ortho.current;
    const orbit = controls.current;
    if (!camera || !orbit) return;
    const { centre, radius } = latest.current;
    const direction = new Vector3(...DIRECTIONS[view]).normalize();
    const aspect = width / height;
    const half = MathUtils.degToRad(FOV / 2);
    const fit = Math.min(half, Math.atan(Math.tan(half) * aspect));
    // Scenes are flatter than their sphere: the picture is filled when it is let in a little.
    const distance = view === 'free' ? (radius / Math.sin(fit)) * 0.72 : radius * 4;
    orbit.target.set(...centre);
    camera.position.set(...centre).addScaledVector(direction, distance);
    if (view !== 'free') (camera as Ortho).zoom = Math.min(width, height * 1.5) / (radius * 2.3);
    camera.lookAt(...centre);
    camera.updateProjectionMatrix();
    orbit.update();
    invalidate();
  }, [view, framing, width, height, invalidate]);

  useFrame(({ camera }) => {
    const { centre, radius } = latest.current;
    const distance = camera.position.distanceTo(new Vector3(...centre));
    const near = view === 'free' ? Math.max(distance - radius * 1.6, distance * 0.01, 0.001) : 0.01;
    const far = distance + radius * 14;
    const lens = camera as Perspective | Ortho;
    if (Math.abs(lens.near - near) > near * 0.05 || Math.abs(lens.far - far) > far * 0.05) {
      lens.near = near;
      lens.far = far;
      lens.updateProjectionMatrix();
    }
  });

  return (
    <>
      <PerspectiveCamera ref={perspective} makeDefault={view === 'free'} fov={FOV} />
      <OrthographicCamera ref={ortho} makeDefault={view !== 'free'} />
      <OrbitControls
        ref={controls}
        makeDefault
        enableDamping={false}
        enableRotate={view === 'free'}
        maxPolarAngle={Math.PI * 0.94}
        screenSpacePanning
      />
    </>
  );
}
