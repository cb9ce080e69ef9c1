'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useMemo, useState } from 'react';
import { Line2 } from 'three/addons/lines/Line2.js';
import { LineGeometry } from 'three/addons/lines/LineGeometry.js';
import { LineMaterial } from 'three/addons/lines/LineMaterial.js';

/** It goes with the path when that is dragged. */
export const MOVES = { moves: true };

export interface PathLineProps {
  readonly line: Float64Array;
  readonly colour: string;
  /** Beside the line. */
  readonly casing: string;
}

/** The path of a run as a line drawn over everything. `line` = flat xyz samples. */
export function PathLine({ line, colour, casing }: PathLineProps) {
  // From its own start, so that it is as fine far from the origin as near it.
  const points = useMemo(() => Float32Array.from(line, (value, i) => value - line[i % 3]), [line]);
  if (points.length < 6) return null;
  const [x, y, z] = line as unknown as [number, number, number];
  return (
    <group position={[x, y, z]}>
      {/* Light on either side tells it from the lines of a road. */}
      <Stroke points={points} colour={casing} width={3.4} opacity={0.6} order={9} />
      <Stroke points={points} colour={colour} width={1.8} opacity={1} order={10} />
    </group>
  );
}

interface StrokeProps {
  readonly points: Float32Array;
  readonly colour: string;
  /** Pixels. */
  readonly width: number;
  readonly opacity: number;
  readonly order: number;
}

/** drei's Line throws its material away with every change of the points, and building it again takes longer than drawing. */
function Stroke({ points, colour, width, opacity, order }: StrokeProps) {
  const invalidate = useThree((s) => s.invalidate);
  const [line] = useState(
    () =>
      new Line2(
        new LineGeometry(),
        new LineMaterial({ depthTest: false, depthWrite: false, transparent: true, toneMapped: false }),
      ),
  );
  useLayoutEffect(() => {
    const geometry = new LineGeometry().setPositions(points);
    line.geometry = geometry;
    invalidate();
    return () => geometry.dispose();
  }, [line, points, invalidate]);
  useEffect(() => () => line.material.dispose(), [line]);
  return (
    <primitive
      object={line}
      userData={MOVES}
      renderOrder={order}
      material-color={colour}
      material-linewidth={width}
      material-opacity={opacity}
    />
  );
}
