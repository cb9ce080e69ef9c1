'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useMemo } from 'react';
import { BufferAttribute, InstancedBufferAttribute, InstancedMesh, type BufferGeometry } from 'three';
import type { CourseResult } from '../state/results-store';
import { useLineDrawing } from './line-drawing';
import { SurfaceMesh } from './SurfaceMesh';
import { topologyGeometry } from './topology-geometry';
import { useMaterials } from './use-materials';

type Places = CourseResult['geometry']['places'][number];
type Repeated = CourseResult['repeated'][number];

/** A course: its bent mesh, or the few meshes that it repeats. */
export function CourseMesh({ run, course }: { run: string; course: CourseResult }) {
  const { geometry, topology, surface, repeated } = course;
  const { positions, normals, box, origin, places } = geometry;
  if (repeated.length === 0) return <SurfaceMesh {...{ run, positions, normals, box, origin, topology, surface }} />;
  return repeated.map((mesh, i) =>
    places[i] ? <RepeatedMesh key={i} {...{ run, mesh, places: places[i], origin, surface }} /> : null,
  );
}

interface RepeatedProps {
  readonly run: string;
  readonly mesh: Repeated;
  readonly places: Places;
  readonly origin: CourseResult['geometry']['origin'];
  readonly surface: CourseResult['surface'];
}

/** One mesh at many places. While only they move, the same buffers are filled again. */
function RepeatedMesh({ run, mesh, places, origin, surface }: RepeatedProps) {
  const invalidate = useThree((s) => s.invalidate);
  const materials = useMaterials(surface, mesh.colours !== undefined);
  const geometry = useMemo(() => geometryOf(mesh), [mesh]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const count = places.matrices.length / 16;
  const lines = useLineDrawing(mesh);
  const worn = lines?.clay ?? materials;
  const object = useMemo(() => new InstancedMesh(geometry, worn, count), [geometry, worn, count]);
  const drawn = useMemo(() => {
    lines?.edges.setAttribute('position', geometry.getAttribute('position'));
    return lines && new InstancedMesh(lines.edges, lines.wire, count);
  }, [geometry, lines, count]);
  useEffect(() => () => void object.dispose(), [object]);
  useEffect(() => () => void drawn?.dispose(), [drawn]);
  useLayoutEffect(() => {
    for (const own of drawn ? [object, drawn] : [object]) {
      own.instanceMatrix = new InstancedBufferAttribute(places.matrices, 16);
      own.boundingSphere = null; // of the places as they are now
    }
    object.instanceColor = places.tints && !lines ? new InstancedBufferAttribute(places.tints, 3) : null;
    invalidate();
  }, [object, drawn, lines, places, invalidate]);
  return (
    <>
      <primitive object={object} position={origin} userData={{ run }} castShadow receiveShadow dispose={null} />
      {drawn && <primitive object={drawn} position={origin} raycast={() => null} dispose={null} />}
    </>
  );
}

function geometryOf(mesh: Repeated): BufferGeometry {
  const built = topologyGeometry(mesh);
  built.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  built.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
  return built;
}
