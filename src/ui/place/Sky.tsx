'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useLayoutEffect, useMemo } from 'react';
import { BackSide, Color, ShaderMaterial, Vector3 } from 'three';
import { AS_GROUND } from '../pictures/in-pictures';
import type { Sphere } from '../bentview/scene-box';
import type { Place } from './use-place';

/** Half of what one sees so many radii of the scene away is lost where no mist is asked for: ground and sky meet in it. */
const CLEAR = 5;
const HALF = Math.sqrt(Math.LN2);

/** At the far end of what is seen, whichever way one looks. */
const VERTEX = `
  varying vec3 way;
  void main() {
    way = position;
    gl_Position = (projectionMatrix * vec4(mat3(viewMatrix) * position, 1.0)).xyww;
  }`;
const FRAGMENT = `
  uniform vec3 zenith, horizon, sun, towards;
  varying vec3 way;
  void main() {
    vec3 w = normalize(way);
    float up = clamp(w.y, 0.0, 1.0);
    vec3 colour = mix(horizon, zenith, pow(up, 0.55));
    float near = max(dot(w, towards), 0.0);
    colour += sun * (0.10 * pow(near, 6.0) + 0.22 * pow(near, 60.0)) * smoothstep(-0.02, 0.08, w.y);
    gl_FragColor = vec4(colour, 1.0);
  }`;

/** Sky over the whole scene, and the mist into which its ground goes over. Looked at straight from a side there is neither. */
export function Sky({ place, sphere }: { place: Place; sphere: Sphere }) {
  const { camera, invalidate } = useThree();
  const { light, towards, mist } = place;
  const material = useMemo(
    () =>
      new ShaderMaterial({
        uniforms: Object.fromEntries(
          ['zenith', 'horizon', 'sun', 'towards'].map((name) => [name, { value: new Vector3() }]),
        ),
        ...{ vertexShader: VERTEX, fragmentShader: FRAGMENT, side: BackSide, depthWrite: false, toneMapped: false, fog: false }, // prettier-ignore
      }),
    [],
  );
  useEffect(() => () => material.dispose(), [material]);
  useLayoutEffect(() => {
    // As they are on the screen: the sky is not lit.
    const put = (name: string, colour: string) => {
      const { r, g, b } = new Color(colour).convertLinearToSRGB();
      (material.uniforms[name].value as Vector3).set(r, g, b);
    };
    put('zenith', light.zenith);
    put('horizon', light.horizon);
    put('sun', light.sun);
    (material.uniforms.towards.value as Vector3).set(...towards);
    invalidate();
  }, [material, light, towards, invalidate]);
  const isFlat = 'isOrthographicCamera' in camera;
  const far = Math.min(mist ?? Infinity, CLEAR * sphere.radius);
  return (
    <>
      {!isFlat && <fogExp2 attach="fog" args={[light.horizon, HALF / far]} />}
      <mesh
        material={material}
        frustumCulled={false}
        renderOrder={-10}
        raycast={() => null}
        visible={!isFlat}
        userData={AS_GROUND}
      >
        <sphereGeometry args={[1, 32, 24]} />
      </mesh>
    </>
  );
}
