'use client';

import { Grid } from '@react-three/drei';
import type { Material, Mesh } from 'three';
import { useTheme } from '@mui/material/styles';
import { useColorScheme } from '@mui/material/styles';
import { useEffect } from 'react';
import { AS_GROUND, FOR_WORK } from '../pictures/in-pictures';
import { TOKENS } from '../tokens';
import type { Sphere } from './scene-box';
import { useGridCell } from './use-grid-cell';

/** The lines leave no depth, or the shadow, in the same plane, would have cracks where they run. */
const withoutDepth = (grid: Mesh | null): void => {
  if (grid) (grid.material as Material).depthWrite = false;
};

export interface GroundProps {
  readonly height: number;
  readonly sphere: Sphere;
  readonly hasGrid: boolean;
  /** Shadows fall on nothing else below. */
  readonly hasShadow: boolean;
  /** It has a colour, as far as one sees; otherwise only shadows and the grid are drawn. */
  readonly isPaper: boolean;
  /** Told of the side of a square, metres. */
  readonly onCell: (cell: number) => void;
}

/** A shadow-catching ground with a quiet grid that fades out; its squares follow what is seen. */
export function Ground({ height, sphere, hasGrid, hasShadow, isPaper, onCell }: GroundProps) {
  const { mode } = useColorScheme();
  const theme = useTheme();
  const tokens = TOKENS[(mode ?? theme.palette.mode) === 'dark' ? 'dark' : 'light'];
  const { cell, reach } = useGridCell();
  useEffect(() => onCell(cell), [onCell, cell]);
  const isDark = tokens === TOKENS.dark;
  return (
    <group position={[0, height - sphere.radius * 0.0004, 0]} userData={AS_GROUND}>
      {hasShadow && isPaper && (
        <mesh
          rotation-x={-Math.PI / 2}
          position={[sphere.centre[0], -sphere.radius * 0.0004, sphere.centre[2]]}
          renderOrder={-3}
        >
          <planeGeometry args={[sphere.radius * 32, sphere.radius * 32]} />
          <meshBasicMaterial color={tokens.ground} toneMapped={false} depthWrite={false} />
        </mesh>
      )}
      <mesh
        rotation-x={-Math.PI / 2}
        position={[sphere.centre[0], 0, sphere.centre[2]]}
        receiveShadow
        renderOrder={-1}
        visible={hasShadow}
      >
        <planeGeometry args={[sphere.radius * 12, sphere.radius * 12]} />
        <shadowMaterial
          transparent
          opacity={isDark ? 0.5 : 0.24}
          color={isDark ? '#000000' : '#3a3222'}
          depthWrite={false}
        />
      </mesh>
      <Grid
        userData={FOR_WORK}
        visible={hasGrid}
        ref={withoutDepth}
        renderOrder={-2} // under the shadow, which darkens it
        infiniteGrid
        cellSize={cell}
        sectionSize={cell * 5}
        cellThickness={0.6}
        sectionThickness={0.9}
        cellColor={isDark ? '#313d43' : '#d3cab6'}
        sectionColor={isDark ? '#3b484f' : '#c4b99f'}
        fadeDistance={reach}
        fadeStrength={2.2}
        followCamera={false}
      />
    </group>
  );
}
