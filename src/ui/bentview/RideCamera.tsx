'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useRef } from 'react';
import { Vector3 } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import { add, normalize, scale } from '../../core/math/vec3';
import { useCourseView, useSession, useSet } from '../state/app-context';
import { firstAfter } from '../../core/math/first-after';
import { forwardAt, placeAt } from './nearest-station';
import { useGuardedFrame } from './use-guarded-frame';

/** Metres that an eye is above what it rides on, at the most; and in half widths of it. */
const EYE = 1.6;
const EYES = 1.1;
/** It looks this many eye heights ahead. */
const AHEAD = 4;

/** Carries the camera along the selected run, as its frames lie: what is uneven is felt. */
export function RideCamera() {
  const ride = useSession((s) => s.ride);
  const result = useCourseView();
  const set = useSet();
  const controls = useThree((s) => s.controls) as Controls | null;
  const invalidate = useThree((s) => s.invalidate);
  const station = useRef(0);
  useEffect(() => {
    if (ride) station.current = ride.station;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- put anew only when it was asked for
  }, [ride?.count]);
  const isRiding = ride !== undefined;
  useEffect(() => {
    if (!controls || !isRiding) return undefined;
    invalidate();
    // Afterwards up is up again.
    return () => {
      controls.object.up.set(0, 1, 0);
      controls.update();
      invalidate();
    };
  }, [controls, isRiding, invalidate]);
  useGuardedFrame(({ camera }, seconds) => {
    if (!ride || !result) return;
    const { path, segment } = result;
    const { max, min } = segment.box;
    const height = Math.min(Math.max((max[2] - min[2]) / 2, max[1], 0.002) * EYES, EYE) + max[1];
    if (!ride.isHeld) station.current += Math.min(seconds, 0.5) * ride.speed;
    const end = path.length;
    if (station.current >= end) station.current = path.closed ? station.current % end : 0;
    const at = station.current;
    const i = Math.min(Math.max(firstAfter(path.stations, at) - 1, 0), path.stations.length - 1) * 3;
    const up = normalize([path.ups[i], path.ups[i + 1], path.ups[i + 2]], [0, 1, 0]);
    const forward = normalize(forwardAt(path, at) ?? [1, 0, 0], [1, 0, 0]);
    const eye = add(placeAt(path, at), scale(up, height));
    camera.up.set(...up);
    camera.position.set(...eye);
    const ahead = add(eye, add(scale(forward, height * AHEAD), scale(up, -height * 0.35)));
    camera.lookAt(new Vector3(...ahead));
    if (controls) controls.target.set(...ahead);
    set({ station: at });
    if (!ride.isHeld) invalidate();
  }, -1);
  return null;
}
