'use client';

import { useMemo } from 'react';
import { buildGuide } from '../../core/guides/build-guide';
import type { WheelGuide } from '../../core/guides/wheel-guides';
import { PaleMesh } from './PaleMesh';

/** The wheels that a belt goes round. */
export function WheelMeshes(props: { run: string; wheels: readonly WheelGuide[]; colour: string }) {
  const { run, wheels, colour } = props;
  const meshes = useMemo(() => wheels.map((wheel) => buildGuide({ ...wheel, clearance: null })), [wheels]);
  return meshes.map((mesh, i) => <PaleMesh key={i} mesh={mesh} of={{ run }} colour={colour} />);
}
