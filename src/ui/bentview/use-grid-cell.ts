import { useThree } from '@react-three/fiber';
import { useState } from 'react';
import { Vector3, type OrthographicCamera, type PerspectiveCamera } from 'three';
import type { OrbitControls as Controls } from 'three-stdlib';
import { roundCell } from './round-cell';
import { useGuardedFrame } from './use-guarded-frame';

/** Squares of the grid that the height of the picture shows, about. */
const SQUARES = 8;

/** The grid for what is seen just now, metres: a square's side, a power of ten or half of one, and how far it is drawn. */
export function useGridCell(): { readonly cell: number; readonly reach: number } {
  const controls = useThree((s) => s.controls) as Controls | null;
  const [grid, setGrid] = useState({ cell: 1, reach: 100 });
  useGuardedFrame(({ camera }) => {
    const lens = camera as PerspectiveCamera | OrthographicCamera;
    const away = controls ? camera.position.distanceTo(controls.target) : camera.position.distanceTo(new Vector3());
    const seen =
      'isOrthographicCamera' in lens
        ? (lens.top - lens.bottom) / lens.zoom
        : 2 * away * Math.tan((lens.fov * Math.PI) / 360);
    const cell = roundCell(seen / SQUARES);
    const reach = Math.max(away, seen) * 4;
    if (cell !== grid.cell || Math.abs(Math.log2(reach / grid.reach)) > 0.25) setGrid({ cell, reach });
  });
  return grid;
}
