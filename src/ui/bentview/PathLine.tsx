'use client';

import { Line } from '@react-three/drei';
import { useMemo } from 'react';

/** It goes with the path when that is dragged. */
export const MOVES = { moves: true };

/** The path of a run as a line drawn over everything. `line` = flat xyz samples. */
export function PathLine({ line, colour, isSelected }: { line: Float64Array; colour: string; isSelected: boolean }) {
  // From its own start, so that it is as fine far from the origin as near it.
  const [x = 0, y = 0, z = 0] = line;
  const points = useMemo(
    () =>
      Array.from(
        { length: line.length / 3 },
        (_, i) => [line[i * 3]! - x, line[i * 3 + 1]! - y, line[i * 3 + 2]! - z] as const,
      ),
    [line, x, y, z],
  );
  if (points.length < 2) return null;
  return (
    <Line
      userData={MOVES}
      position={[x, y, z]}
      points={points as unknown as [number, number, number][]}
      color={colour}
      lineWidth={isSelected ? 1.6 : 1}
      depthTest={false}
      transparent
      opacity={isSelected ? 1 : 0.4}
      renderOrder={10}
      toneMapped={false}
    />
  );
}
