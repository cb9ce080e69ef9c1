'use client';

import { Line } from '@react-three/drei';
import { useMemo } from 'react';

/** The path of a run as a line drawn over everything. `line` = flat xyz samples. */
export function PathLine({ line, colour, isSelected }: { line: Float32Array; colour: string; isSelected: boolean }) {
  const points = useMemo(
    () =>
      Array.from({ length: line.length / 3 }, (_, i) => [line[i * 3]!, line[i * 3 + 1]!, line[i * 3 + 2]!] as const),
    [line],
  );
  if (points.length < 2) return null;
  return (
    <Line
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
