import { glb } from './glb';
import { gltf } from './gltf';
import { obj } from './obj';
import { ply } from './ply';
import { stl } from './stl';

/** In the order in which people are shown them. */
export const formats = { glb, gltf, obj, ply, stl };
