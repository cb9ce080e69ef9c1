'use client';

import { Line } from '@react-three/drei';
import { useMemo } from 'react';

/** It goes with the path when that is dragged. */
export const MOVES = { moves: true };

export interface PathLineProps {
  readonly line: Float64Array;
  readonly colour: string;
  /** Beside the line. */
  readonly casing: string;
  readonly isSelected: boolean;
}

/** The path of a run as a line drawn over everything. `line` = flat xyz samples. */
export function PathLine({ line, colour, casing, isSelected }: PathLineProps) {
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
  const drawn = {
    userData: MOVES,
    position: [x, y, z] as const,
    points: points as unknown as [number, number, number][],
    depthTest: false,
    transparent: true,
    toneMapped: false,
  };
  return (
    <>
      {/* Light on either side tells it from the lines of a road. */}
      {isSelected && <Line {...drawn} color={casing} lineWidth={3.4} opacity={0.6} renderOrder={9} />}
      <Line
        {...drawn}
        color={colour}
        lineWidth={isSelected ? 1.8 : 1}
        opacity={isSelected ? 1 : 0.4}
        renderOrder={10}
      />
    </>
  );
}
