'use client';

import '../bentview/quiet-three';
import { Line } from '@react-three/drei';
import { Canvas, type ThreeEvent } from '@react-three/fiber';
import { useColorScheme } from '@mui/material/styles';
import { useMemo, useReducer, useState } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { StiffZone } from '../../core/segment/stiff-zones';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import type { SegmentView } from '../../engine/segment-view';
import { ContextGuard } from '../bentview/ContextGuard';
import { FrameReporter } from '../bentview/FrameReporter';
import { useTable } from '../place/use-place';
import { Lights } from '../bentview/Lights';
import { SurfaceMesh } from '../bentview/SurfaceMesh';
import { boundingSphere } from '../bentview/scene-box';
import { ViewCamera } from '../bentview/ViewCamera';
import { Viewport } from '../bentview/viewport';
import { metres } from '../format';
import { TOKENS } from '../tokens';
import { PlaceTag } from './PlaceTag';

export interface PreparePreviewProps {
  readonly view: SegmentView;
  readonly prepare: PrepareSpec;
  /** A place on the segment was picked, segment space. */
  readonly onPick: ((place: Vec3) => void) | undefined;
  /** The pointer went over a face with the button down; where it lies along the segment, metres. */
  readonly onPaint: ((zone: StiffZone) => void) | undefined;
}

/** The segment, straight, with its box, the path through it, and its directions by letter. */
export function PreparePreview({ view, prepare, onPick, onPaint }: PreparePreviewProps) {
  const [viewport] = useState(() => new Viewport());
  const [made, anew] = useReducer((count: number) => count + 1, 0);
  const table = useTable();
  const { mode } = useColorScheme();
  const tokens = TOKENS[mode === 'dark' ? 'dark' : 'light'];
  const { min, max } = view.box;
  const sphere = useMemo(() => boundingSphere({ min, max }), [min, max]);
  const r = sphere.radius;
  const [y, z] = [Math.max(max[1], 0), Math.max(max[2], 0)];
  const start: Vec3 = [-r * 0.25, 0, 0];
  const end: Vec3 = [view.length + r * 0.3, 0, 0];
  const places = useMemo<Vec3[]>(
    () => [
      min,
      max,
      [min[0], max[1], max[2]],
      [max[0], min[1], max[2]],
      [view.length + r * 0.3, 0, 0],
      [-r * 0.25, 0, 0],
      [0, y + r * 0.22, 0], // the tips of U and S
      [0, 0, z + r * 0.22],
    ],
    [min, max, view.length, r, y, z],
  );
  const arrows = useMemo(
    () =>
      [
        { letter: 'F', from: [view.length + r * 0.1, 0, 0], to: [view.length + r * 0.3, 0, 0] },
        { letter: 'U', from: [0, 0, 0], to: [0, y + r * 0.22, 0] },
        { letter: 'S', from: [0, 0, 0], to: [0, 0, z + r * 0.22] },
      ] as const,
    [view.length, r, y, z],
  );
  const tags = useMemo(
    (): { at: Vec3; text: string }[] => [
      { at: [view.length * 0.45, min[1], max[2]], text: `${metres(view.length)} long` },
      {
        at: [view.length, min[1] - r * 0.05, max[2]],
        text: `${metres(max[1] - min[1])} high, ${metres(max[2] - min[2])} wide`,
      },
    ],
    [view.length, min, max, r],
  );
  const paint = ({ face }: ThreeEvent<PointerEvent>) => {
    if (!face) return;
    const along = [face.a, face.b, face.c].map((v) => view.positions[v * 3]);
    onPaint?.({ from: Math.min(...along), to: Math.max(...along) });
  };
  const framing = Math.round(Math.log2(Math.max(r, 1e-6)) * 8) + view.topology.indices.length;
  return (
    <>
      <Canvas
        key={made}
        frameloop="demand"
        shadows="percentage"
        dpr={[1, 2]}
        gl={{ antialias: true, alpha: true, preserveDrawingBuffer: true }}
        style={{ position: 'absolute', inset: 0, cursor: onPick || onPaint ? 'crosshair' : 'grab' }}
      >
        <ViewCamera view="free" framing={framing} places={places} sphere={sphere} isStill={onPaint !== undefined} />
        <ContextGuard onAnew={anew} />
        <Lights sphere={sphere} place={table} />
        <group
          onClick={(event: ThreeEvent<MouseEvent>) => onPick?.(event.point.toArray())}
          onPointerDown={(event) => paint(event)}
          onPointerMove={(event) => event.buttons === 1 && paint(event)}
        >
          <SurfaceMesh {...view} run="segment" />
        </group>
        <BoxLines min={min} max={max} colour={tokens.soft} />
        <Line points={[start, end]} color={tokens.leaf} lineWidth={2} depthTest={false} transparent renderOrder={5} />
        {arrows.map(({ letter, from, to }) => (
          <Line
            key={letter}
            points={[from, to]}
            color={tokens.leaf}
            lineWidth={2}
            depthTest={false}
            transparent
            renderOrder={6}
          />
        ))}
        {zones(prepare, view.length).map(({ from, to, kind }, i) => (
          <mesh key={i} position={[(from + to) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2]}>
            <boxGeometry args={[Math.max(to - from, 1e-6), (max[1] - min[1]) * 1.04, (max[2] - min[2]) * 1.04]} />
            <meshBasicMaterial
              color={kind === 'stiff' ? tokens.leaf : tokens.cane}
              transparent
              opacity={0.22}
              depthWrite={false}
            />
          </mesh>
        ))}
        <FrameReporter viewport={viewport} />
      </Canvas>
      {arrows.map(({ letter, to }) => (
        <PlaceTag key={letter} viewport={viewport} at={to} text={letter} isLetter />
      ))}
      {tags.map(({ at, text }, i) => (
        <PlaceTag key={i} viewport={viewport} at={at} text={text} />
      ))}
    </>
  );
}

const zones = ({ stiff, head, tail }: PrepareSpec, length: number) => [
  ...stiff.map((zone) => ({ ...zone, kind: 'stiff' as const })),
  ...(head > 0 ? [{ from: 0, to: head, kind: 'once' as const }] : []),
  ...(tail > 0 ? [{ from: length - tail, to: length, kind: 'once' as const }] : []),
];

function BoxLines({ min, max, colour }: { min: Vec3; max: Vec3; colour: string }) {
  const corner = (i: number): Vec3 => [i & 1 ? max[0] : min[0], i & 2 ? max[1] : min[1], i & 4 ? max[2] : min[2]];
  const edges = [0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) =>
    [1, 2, 4].filter((bit) => !(i & bit)).flatMap((bit) => [corner(i), corner(i | bit)]),
  );
  return <Line segments points={edges} color={colour} lineWidth={0.8} transparent opacity={0.6} />;
}
