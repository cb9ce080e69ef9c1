import type { GuideBodyName } from '../../core/guides/guide-spec';
import type { Vec3 } from '../../core/math/vec3';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import { GLASS, GRASS, HULL, MUD, plain, RED, SLATE, STEEL, STONE, WHITE, WOOD, WOODS } from './landing-finishes';
import type { PlaceSpec, SavedCamera } from '../place-spec';
import type { Guide } from '../schema';

/** Metres: the bed of the marsh, and its water at half tide. */
const BED = -1.1;
const WATER = -0.3;

export const LANDING_PLACE: PlaceSpec = {
  sun: { bearing: 2.35, height: 0.62 },
  mist: 420,
  ground: MUD,
  groundHeight: BED,
  water: WATER,
};

export const LANDING_CAMERAS: readonly SavedCamera[] = [
  { id: 'from-the-shore', name: 'The shore', position: [-52, 9, 42], target: [-6, 0, 2] },
  { id: 'landing-stage', name: 'The landing stage', position: [60.5, 4.6, 21], target: [47, 0.9, 3] },
  { id: 'beacon', name: 'Beacon', position: [8.9, 5.2, -11.4], target: [20, 3.4, -26] },
  { id: 'hut-and-mast', name: 'Hut and mast', position: [29.4, 4.4, 6.4], target: [38, 3.2, -8.5] },
  { id: 'fire-pit', name: 'Fire pit', position: [28.5, 4.6, -30.5], target: [21.4, 1.2, -35.2] },
  { id: 'fence', name: 'Shore fence', position: [-34, 3.6, 41.5], target: [-25.5, 0.6, 31] },
];

const scenery = (
  id: string,
  name: string,
  kind: GuideBodyName,
  sizes: Record<string, number>,
  position: Vec3,
  finish: PlainFinish,
  turn: Vec3 = [0, 0, 0],
): Guide => ({
  ...{ id, name, visible: true, shape: { from: 'body', kind, sizes }, position, turn, clearance: null, finish },
});

/** About y, so that what looks along +z looks at the causeway. */
const HUT_TURN = -0.666;
const HUT: Vec3 = [43.9, 0.6, -14.8];
/** A place counted from the hut: to its right, up, and towards its front. */
const atHut = (right: number, up: number, front: number): Vec3 => [
  HUT[0] + right * Math.cos(HUT_TURN) + front * Math.sin(HUT_TURN),
  HUT[1] + up,
  HUT[2] - right * Math.sin(HUT_TURN) + front * Math.cos(HUT_TURN),
];
const hut = (
  id: string,
  name: string,
  kind: GuideBodyName,
  sizes: Record<string, number>,
  at: Vec3,
  finish: PlainFinish,
): Guide =>
  // prettier-ignore
  scenery(id, name, kind, sizes, atHut(...at), finish, [0, HUT_TURN, 0]);

const WALL = 0.12;

const ALL: readonly Guide[] = [
  scenery('shore', 'Shore', 'mound', { x: 54, y: 0.95, z: 84, bank: 14, rough: 0.05, seed: 5 }, [-60, BED, 14], GRASS),
  scenery('fence-bank', 'Fence bank', 'mound', { x: 34, y: 2.3, z: 15, bank: 17, rough: 0.03, seed: 8 }, [-28.5, BED, 31.6], GRASS), // prettier-ignore
  scenery('point', 'Beacon point', 'mound', { x: 44, y: 2.15, z: 30, bank: 6, rough: 0.04, seed: 4 }, [22, BED, -33], GRASS), // prettier-ignore
  scenery('quay', 'Quay', 'mound', { x: 36, y: 1.66, z: 30, bank: 5, rough: 0.03, seed: 6 }, [38, BED, -9], GRASS),
  scenery('reeds', 'Mud bank', 'mound', { x: 26, y: 0.95, z: 13, bank: 6, rough: 0.06, seed: 9 }, [-12, BED, 2], GRASS),
  scenery('far-bank', 'Far bank', 'mound', { x: 150, y: 1.6, z: 40, bank: 12, rough: 0.2, seed: 12 }, [20, BED, -112], GRASS), // prettier-ignore
  scenery('far-wood', 'Wood on the far bank', 'mound', { x: 58, y: 6.5, z: 22, bank: 11, rough: 2.2, seed: 31 }, [-8, 0, -114], WOODS), // prettier-ignore
  scenery('far-barn', 'Barn', 'box', { x: 9, y: 3, z: 6 }, [52, 0.3, -110], RED, [0, 0.3, 0]),
  scenery('far-barn-door', 'Door of the barn', 'box', { x: 2.6, y: 2.3, z: 0.12 }, [52.89, 0.3, -107.13], WHITE, [0, 0.3, 0]), // prettier-ignore
  scenery('far-barn-roof', 'Roof of the barn', 'gable', { x: 10, y: 2.6, z: 7 }, [52, 3.3, -110], SLATE, [0, 0.3, 0]),
  scenery('mast-foot', 'Foot of the mast', 'box', { x: 0.7, y: 0.6, z: 0.7 }, [34, 0.48, -4], STONE),
  scenery('stage', 'Landing stage', 'stage', { x: 13, y: 2.15, z: 5 }, [47.2, BED, 4], WOOD),
  scenery('bollard', 'Bollard', 'post', { radius: 0.16, height: 0.8 }, [44.5, 1.05, 2.4], STEEL),
  hut('hut-floor', 'Floor of the hut', 'box', { x: 3.4, y: 0.12, z: 2.8 }, [0, 0, 0], WOOD),
  hut('hut-back', 'Back of the hut', 'box', { x: 2.96, y: 2.5, z: WALL }, [0, 0.12, -1.24], WHITE),
  hut('hut-left', 'Left wall of the hut', 'box', { x: WALL, y: 2.5, z: 2.6 }, [-1.54, 0.12, 0], WHITE),
  hut('hut-right', 'Right wall of the hut', 'box', { x: WALL, y: 2.5, z: 2.6 }, [1.54, 0.12, 0], WHITE),
  hut('hut-counter', 'Counter', 'box', { x: 2.96, y: 1, z: 0.3 }, [0, 0.12, 1.1], RED),
  hut('hut-lintel', 'Front of the hut', 'box', { x: 2.96, y: 0.4, z: WALL }, [0, 2.22, 1.24], RED),
  hut('hut-roof', 'Roof of the hut', 'gable', { x: 3.8, y: 1, z: 3.4 }, [0, 2.62, 0], SLATE),
  scenery('beacon-tower', 'Beacon', 'post', { radius: 0.85, height: 5.1 }, [20, 0.95, -25], WHITE),
  scenery('beacon-band', 'Band of the beacon', 'post', { radius: 0.87, height: 0.9 }, [20, 3.1, -25], RED),
  scenery('beacon-gallery', 'Gallery', 'disc', { radius: 1.25, thickness: 0.14 }, [20, 6.02, -25], STEEL),
  scenery('beacon-lamp', 'Lamp of the beacon', 'post', { radius: 0.5, height: 0.95 }, [20, 6.1, -25], plain('#f2d58a', { roughness: 0.25 })), // prettier-ignore
  scenery('beacon-cap', 'Cap of the beacon', 'ball', { radius: 0.62 }, [20, 7.1, -25], RED),
  scenery('pump-room', 'Pump house', 'box', { x: 2.2, y: 1.9, z: 2.4 }, [14.39, 0.95, -31.89], STONE, [0, Math.PI / 4, 0]), // prettier-ignore
  scenery('pump-roof', 'Roof of the pump house', 'gable', { x: 3, y: 0.9, z: 2.9 }, [14.28, 2.85, -31.78], SLATE, [0, Math.PI / 4, 0]), // prettier-ignore
  scenery('fire-stones', 'Fire pit', 'disc', { radius: 0.7, thickness: 0.16 }, [23.6, 1.1, -35.9], plain('#4b4641')),
  scenery('ferry', 'Ferry', 'hull', { x: 13, y: 1.75, z: 4.2 }, [48.7, -0.5, 12.7], HULL),
  scenery('ferry-house', 'Wheelhouse', 'box', { x: 2.6, y: 1.9, z: 2.4 }, [45, 1.2, 12.7], WHITE),
  scenery('ferry-roof', 'Roof of the wheelhouse', 'box', { x: 3, y: 0.12, z: 2.8 }, [45, 3.1, 12.7], RED),
  scenery('ferry-window', 'Window of the wheelhouse', 'box', { x: 0.04, y: 0.6, z: 1.7 }, [46.3, 2.2, 12.7], GLASS),
  ...[11.5, 13.9].map((z, i) =>
    scenery(`ferry-window-${i}`, `Side window ${i + 1}`, 'box', { x: 1.5, y: 0.6, z: 0.04 }, [45.1, 2.2, z], GLASS),
  ),
  scenery('ferry-funnel', 'Funnel', 'post', { radius: 0.14, height: 0.8 }, [44.3, 3.2, 12.1], STEEL),
  scenery('ferry-cleat', 'Cleat', 'box', { x: 0.5, y: 0.5, z: 0.16 }, [52.4, 1.4, 11.05], STEEL),
  scenery('ferry-roller', 'Bow roller', 'box', { x: 0.5, y: 0.9, z: 0.34 }, [54.85, 1.3, 12.5], STEEL),
  scenery('ferry-pump', 'Pump', 'box', { x: 0.5, y: 0.75, z: 0.5 }, [50.2, 1.05, 13.35], STEEL),
  ...[46.4, 47.7, 49, 50.3].map((x, i) =>
    scenery(
      `ferry-rail-${i}`,
      `Post of the rail ${i + 1}`,
      'post',
      { radius: 0.03, height: 0.9 },
      [x, 1.24, 14.66],
      STEEL,
    ),
  ),
  ...[1.68, 2.1].map((y, i) =>
    scenery(`ferry-bar-${i}`, `Bar of the rail ${i + 1}`, 'box', { x: 4, y: 0.05, z: 0.05 }, [48.35, y, 14.66], STEEL),
  ),
  scenery(
    'ferry-valve',
    'Valve at the rail',
    'box',
    { x: 0.3, y: 0.36, z: 0.3 },
    [46.6, 1.48, 14.6],
    plain('#9a3d31', { roughness: 0.5 }),
  ),
  scenery('ferry-spout', 'Spout', 'box', { x: 0.12, y: 0.12, z: 0.5 }, [46.6, 1.42, 14.95], STEEL),
  ...[2.75, 5.25].map((z, i) =>
    scenery(`float-${i}`, `Dredger’s float ${i + 1}`, 'box', { x: 8.5, y: 0.85, z: 1.3 }, [58.6, -0.62, z], HULL),
  ),
  scenery('dredger-house', 'Dredger’s engine house', 'box', { x: 2, y: 1.7, z: 3.6 }, [55.6, 0.23, 4], RED),
  scenery('dredger-roof', 'Roof of the engine house', 'box', { x: 2.4, y: 0.12, z: 4 }, [55.6, 1.93, 4], SLATE),
  scenery('dredger-window', 'Window of the engine house', 'box', { x: 0.04, y: 0.5, z: 1.6 }, [56.6, 1.05, 4], GLASS),
  scenery('dredger-door', 'Door of the engine house', 'box', { x: 0.8, y: 1.4, z: 0.04 }, [55.8, 0.25, 5.8], WHITE),
  ...[3.2, 4.8].map(
    (z, i) =>
    scenery(`dredger-post-${i}`, `Dredger’s post ${i + 1}`, 'box', { x: 0.22, y: 3.4, z: 0.16 }, [58.74, 0.2, z], STEEL), // prettier-ignore
  ),
];

/** What of it is listed together, by how its ids begin. */
const FOLDERS: readonly (readonly [folder: string, ids: RegExp])[] = [
  ['Land', /^(shore|fence-bank|point|quay|reeds|far-.*)$/],
  ['Ticket hut', /^hut-/],
  ['Beacon', /^beacon-/],
  ['Pump house', /^pump-/],
  ['Ferry', /^ferry/],
  ['Dredger', /^(float|dredger)-/],
];

/** What stands about the landing's runs: shores, stage, hut, beacon, the ferry's bow and the dredger. */
export const SCENERY: readonly Guide[] = ALL.map((guide) => {
  const folder = FOLDERS.find(([, ids]) => ids.test(guide.id))?.[0];
  return folder ? { ...guide, folder } : guide;
});
