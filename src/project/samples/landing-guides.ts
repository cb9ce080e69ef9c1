import type { GuideSpec } from '../../core/guides/guide-spec';
import type { Surface } from '../../core/mesh/surface';
import type { Guide } from '../schema';
import { plain, STONE } from './landing-finishes';

/** Metres: the signal mast. */
const MAST = { radius: 0.1, height: 4.5 };

const body = (kind: 'post' | 'socket' | 'box' | 'disc', sizes: Record<string, number>): GuideSpec['shape'] => ({
  from: 'body',
  kind,
  sizes,
});

/** On the mast, its mouth to the hut and a little down. */
export const MAST_SOCKET: GuideSpec = {
  shape: body('socket', { radius: 0.07, depth: 0.12 }),
  position: [34.13, 5.1, -4.13],
  turn: [-1.75, Math.PI / -4, 0],
  clearance: null,
};

/** On the hut's wall, its mouth to the mast. */
export const HUT_SOCKET: GuideSpec = {
  shape: body('socket', { radius: 0.07, depth: 0.12 }),
  position: [43.05, 3.05, -13.72],
  turn: [1.4, Math.PI / -4, 0],
  clearance: null,
};

/** Where the bilge hose begins and ends: its mouth looks along the hose. */
export const PUMP_SOCKET: GuideSpec = {
  shape: body('socket', { radius: 0.13, depth: 0.2 }),
  position: [49.95, 1.5, 13.45],
  turn: [1.621, -1.491, 0],
  clearance: null,
};
export const VALVE_SOCKET: GuideSpec = {
  shape: body('socket', { radius: 0.13, depth: 0.2 }),
  position: [46.72, 1.66, 14.5],
  turn: [1.773, 2.182, 0],
  clearance: null,
};

/** A ray from far outside straight towards the mast's axis. */
export const POST_SURFACE: Surface = {
  nearest: () => undefined,
  hit: (place, direction) => ({
    place,
    normal: direction,
    distance: Math.hypot(place[0] - 34, place[2] + 4) - MAST.radius,
  }),
};

/** What the landing's runs wind round, plug into and keep clear of. */
export const GUIDES: readonly Guide[] = [
  {
    id: 'signal-mast',
    name: 'Signal mast',
    visible: true,
    shape: body('post', MAST),
    finish: plain('#ece6d8', { roughness: 0.7 }),
    position: [34, 1.05, -4],
    turn: [0, 0, 0],
    clearance: null, // leaves may touch it
  },
  { id: 'mast-socket', name: 'Mast socket', visible: true, ...MAST_SOCKET },
  { id: 'hut-socket', name: 'Hut socket', visible: true, ...HUT_SOCKET },
  { id: 'pump-socket', name: 'Pump socket', visible: true, ...PUMP_SOCKET },
  { id: 'valve-socket', name: 'Valve socket', visible: true, ...VALVE_SOCKET },
  {
    id: 'pump-house',
    name: 'Pump house wall',
    visible: true,
    finish: STONE,
    shape: body('box', { x: 0.3, y: 1.2, z: 2.4 }),
    position: [13.506, 1.05, -31.006],
    turn: [0, Math.PI / 4, 0],
    clearance: null,
  },
];
