'use client';

import { Grid } from '@react-three/drei';
import { useTheme } from '@mui/material/styles';
import { useColorScheme } from '@mui/material/styles';
import { TOKENS } from '../tokens';
import type { Sphere } from './scene-box';

/** A shadow-catching ground with a quiet grid that fades out; a square is a power of ten in metres, as the scene asks. */
export function Ground({ height, sphere }: { height: number; sphere: Sphere }) {
  const { mode } = useColorScheme();
  const theme = useTheme();
  const tokens = TOKENS[(mode ?? theme.palette.mode) === 'dark' ? 'dark' : 'light'];
  const cell = 10 ** Math.round(Math.log10(Math.max(sphere.radius, 0.05) / 8));
  const isDark = tokens === TOKENS.dark;
  return (
    <group position={[0, height - sphere.radius * 0.0004, 0]}>
      <mesh rotation-x={-Math.PI / 2} position={[sphere.centre[0], 0, sphere.centre[2]]} receiveShadow renderOrder={-1}>
        <planeGeometry args={[sphere.radius * 12, sphere.radius * 12]} />
        <shadowMaterial
          transparent
          opacity={isDark ? 0.5 : 0.24}
          color={isDark ? '#000000' : '#3a3222'}
          depthWrite={false}
        />
      </mesh>
      <Grid
        renderOrder={-2} // under the shadow, which darkens it
        infiniteGrid
        cellSize={cell}
        sectionSize={cell * 10}
        cellThickness={0.6}
        sectionThickness={0.9}
        cellColor={isDark ? '#313d43' : '#d3cab6'}
        sectionColor={isDark ? '#3b484f' : '#c4b99f'}
        fadeDistance={sphere.radius * 5.5}
        fadeStrength={2.2}
        followCamera={false}
      />
    </group>
  );
}
