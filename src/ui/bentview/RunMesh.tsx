'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useMemo } from 'react';
import { Box3, BufferAttribute, BufferGeometry, Sphere, Vector3 } from 'three';
import type { RunResult } from '../state/results-store';
import { buildMaterials, disposeMaterials } from './materials';

/** A run's bent mesh. While only its pieces move, the same buffers are filled again. */
export function RunMesh({ run, result: { view, topology, surface } }: { run: string; result: RunResult }) {
  const invalidate = useThree((s) => s.invalidate);
  const geometry = useMemo(() => {
    const built = new BufferGeometry();
    built.setIndex(new BufferAttribute(topology.indices, 1));
    built.setAttribute('uv', new BufferAttribute(topology.uvs, 2));
    if (topology.colours) built.setAttribute('color', new BufferAttribute(topology.colours, 4));
    for (const { start, count, material } of topology.parts) built.addGroup(start, count, material);
    return built;
  }, [topology]);
  useEffect(() => () => geometry.dispose(), [geometry]);

  useLayoutEffect(() => {
    fill(geometry, 'position', view.positions);
    fill(geometry, 'normal', view.normals);
    const { min, max } = view.box;
    geometry.boundingBox = new Box3(new Vector3(...min), new Vector3(...max));
    geometry.boundingSphere = geometry.boundingBox.getBoundingSphere(new Sphere());
    invalidate();
  }, [geometry, view, invalidate]);

  const hasColours = topology.colours !== undefined;
  const materials = useMemo(
    () => buildMaterials(surface.materials, surface.images, hasColours, invalidate),
    [surface, hasColours, invalidate],
  );
  useEffect(() => () => disposeMaterials(materials), [materials]);

  if (view.positions.length === 0) return null;
  return <mesh geometry={geometry} material={materials} userData={{ run }} castShadow receiveShadow dispose={null} />;
}

function fill(geometry: BufferGeometry, name: 'position' | 'normal', values: Float32Array): void {
  const attribute = geometry.getAttribute(name) as BufferAttribute | undefined;
  if (attribute && attribute.array.length === values.length) {
    attribute.array = values;
    attribute.needsUpdate = true;
  } else geometry.setAttribute(name, new BufferAttribute(values, 3));
}
