import { AnimationMixer, BufferAttribute, BufferGeometry, Mesh as ThreeMesh, Vector3 } from 'three';
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js';
import { MeshBVH } from 'three-mesh-bvh';
import { unwrap } from '../../core/testing/runs';
import type { Project } from '../../project/schema';
import { bakeProject } from '../bake';
import type { Deriver } from '../derive';

/** Corners of all triangles of a file that show at a time, three each, by three's loader and mixer. */
export async function played(bytes: Uint8Array, times: readonly number[]): Promise<Vector3[][]> {
  const { scene, animations } = await new GLTFLoader().parseAsync(bytes.slice().buffer, '');
  const mixer = new AnimationMixer(scene);
  const action = animations[0] && mixer.clipAction(animations[0]);
  if (action) action.clampWhenFinished = true;
  action?.setLoop(2200, 1).play(); // once
  return times.map((time) => {
    mixer.setTime(time);
    scene.updateMatrixWorld(true);
    const points: Vector3[] = [];
    scene.traverse((node) => {
      if (!(node instanceof ThreeMesh)) return;
      const { position } = node.geometry.attributes;
      const scale = new Vector3().setFromMatrixScale(node.matrixWorld);
      if (scale.y === 0) return;
      const own = Array.from({ length: position.count }, (_, v) =>
        node.localToWorld(node.getVertexPosition(v, new Vector3())),
      );
      const index = node.geometry.index!;
      // What has gone is flat: only corners of triangles with an area show.
      for (let i = 0; i < index.count; i += 3) {
        const [a, b, c] = [0, 1, 2].map((k) => own[index.getX(i + k)]);
        if (new Vector3().crossVectors(b.clone().sub(a), c.clone().sub(a)).length() > 1e-9) points.push(a, b, c);
      }
    });
    return points;
  });
}

/** A hierarchy over triangles given by their corners. */
export const hierarchyOf = (corners: readonly Vector3[]): MeshBVH | undefined =>
  corners.length === 0
    ? undefined
    : new MeshBVH(
        new BufferGeometry().setAttribute(
          'position',
          new BufferAttribute(Float32Array.from(corners.flatMap((v) => v.toArray())), 3),
        ),
      );

/** Corners of all triangles of the project's own run at a time. */
export async function ownAt(deriver: Deriver, project: Project, run: string, time: number): Promise<Vector3[]> {
  const { scene } = unwrap(await bakeProject(project, deriver, { run, time, mayBeEmpty: true }));
  return scene.flatMap(({ mesh, origin = [0, 0, 0] }) =>
    Array.from(mesh.indices, (v) => new Vector3().fromArray(mesh.positions, v * 3).add(new Vector3(...origin))),
  );
}
