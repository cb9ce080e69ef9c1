'use client';

import { useEffect, useMemo } from 'react';
import {
  DataTexture,
  LinearFilter,
  LinearMipmapLinearFilter,
  MeshStandardMaterial,
  RepeatWrapping,
  Vector2,
} from 'three';
import { tilingNoise } from '../../core/segment/finish/pattern';
import type { Sphere } from '../bentview/scene-box';
import { AS_GROUND } from '../pictures/take-picture';
import { setQuickLook } from '../bentview/quick-looks';
import { GROUND_REACH } from './PlaceGround';
import type { Place } from './use-place';

/** Pixels of the ripples' image, and metres that it covers. */
const SIDE = 256;
const COVERS = 9;

/** Normals of small waves, tiling. */
function ripples(): DataTexture {
  const noise = tilingNoise(7);
  const height = (x: number, y: number) => {
    const [u, v] = [(((x % SIDE) + SIDE) % SIDE) / SIDE, (((y % SIDE) + SIDE) % SIDE) / SIDE];
    return 0.55 * noise(u, v, 12, 20) + 0.3 * noise(v, u, 34, 26) + 0.15 * noise(u, v, 70, 84);
  };
  const heights = new Float32Array(SIDE * SIDE);
  for (let y = 0; y < SIDE; y++) for (let x = 0; x < SIDE; x++) heights[y * SIDE + x] = height(x, y);
  const at = (x: number, y: number) => heights[((y + SIDE) % SIDE) * SIDE + ((x + SIDE) % SIDE)];
  const data = new Uint8Array(SIDE * SIDE * 4);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const [nx, ny] = [(at(x - 1, y) - at(x + 1, y)) * 3, (at(x, y - 1) - at(x, y + 1)) * 3];
      const l = Math.hypot(nx, ny, 1);
      data.set([127.5 + (127.5 * nx) / l, 127.5 + (127.5 * ny) / l, 127.5 + 127.5 / l, 255], (y * SIDE + x) * 4);
    }
  const texture = new DataTexture(data, SIDE, SIDE);
  texture.wrapS = texture.wrapT = RepeatWrapping;
  texture.magFilter = LinearFilter;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.anisotropy = 8;
  texture.needsUpdate = true;
  return texture;
}

/** Still water with small waves, through which the ground shows. */
export function Water({ place, level, sphere }: { place: Place; level: number; sphere: Sphere }) {
  const side = sphere.radius * GROUND_REACH * 2;
  const waves = useMemo(() => ripples(), []);
  const material = useMemo(
    () => new MeshStandardMaterial({ roughness: 0.3, metalness: 0, transparent: true, opacity: 0.84, depthWrite: false, normalMap: waves, normalScale: new Vector2(0.28, 0.28) }), // prettier-ignore
    [waves],
  );
  useEffect(
    () => () => {
      waves.dispose();
      material.dispose();
    },
    [waves, material],
  );
  const colour = place.isDark ? '#3d5a62' : '#5b7d80';
  useEffect(() => setQuickLook(material, colour, false), [material, colour]);
  const [x, , z] = sphere.centre;
  return (
    <mesh
      material={material}
      material-color={colour}
      material-roughness={place.isDark ? 0.55 : 0.3}
      material-normalMap-repeat={[side / COVERS, side / COVERS]}
      rotation-x={-Math.PI / 2}
      position={[x, level, z]}
      receiveShadow
      raycast={() => null}
      userData={AS_GROUND}
    >
      <planeGeometry args={[side, side]} />
    </mesh>
  );
}
