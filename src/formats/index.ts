export { glb } from './glb';
export { gltf } from './gltf';
export { obj } from './obj';
export { stl } from './stl';
