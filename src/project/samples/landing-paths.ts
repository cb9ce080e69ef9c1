import { changeKind } from '../../core/edit/change-kind';
import { plugIn } from '../../core/edit/end-leg';
import type { CurveSpec } from '../../core/curve/registry';
import { mouthOf } from '../../core/guides/build-guide';
import { wrapRound } from '../../core/guides/wrap-round';
import type { Vec3 } from '../../core/math/vec3';
import { HUT_SOCKET, MAST_SOCKET, POST_SURFACE, PUMP_SOCKET, VALVE_SOCKET } from './landing-guides';

const through = (...places: readonly Vec3[]) => places.map((position) => ({ position }));
const smooth = (...places: readonly Vec3[]): CurveSpec => ({
  kind: 'smooth',
  closed: false,
  points: through(...places),
});

export const CAUSEWAY = smooth(
  [-43.5, 0, 8],
  [-30, 0.05, 22],
  [-11, 0.2, 25],
  [2, 0.5, 11.5],
  [6.5, 0.8, -8],
  [17, 1.05, -19],
  [32, 1.1, -14],
  [46, 1.1, -3],
);

/** From the bollard, slack, to the ferry's cleat. */
export const MOORING: CurveSpec = {
  kind: 'hanging',
  closed: false,
  points: through([44.5, 1.75, 2.4], [52.4, 1.95, 11]),
  numbers: { slack: 0.012 },
};

/** From the bow roller down to the bed. */
export const ANCHOR = smooth(
  [55, 2.3, 12.5],
  [55.5, 1.2, 13.4],
  [56.6, 0.2, 14.8],
  [58.6, -0.25, 16.6],
  [61, -0.3, 18],
);

/** Metres: pin to pin of the dredger's buckets. */
export const BUCKET_PITCH = 0.6;

/** Round the dredger's two tumblers, standing on edge, and one idler that holds the ladder's upper side. */
export const BUCKETS: CurveSpec = {
  kind: 'belt',
  closed: true,
  points: [
    { position: [58.740849372555765, 3.5458083806523026, 4], teeth: 6 },
    { position: [63, -0.2, 4], teeth: 6 },
    { position: [61.25, 2.05, 4], radius: 0.4 },
  ],
  numbers: { pitch: BUCKET_PITCH },
};

/** From the hut's ceiling down to the reading lamp. */
export const LAMP = smooth([43.9, 3.2, -14.8], [43.9, 2.75, -14.8], [43.96, 2.35, -14.76], [44.1, 2.05, -14.7]);

const loose = changeKind(
  smooth([49.95, 1.5, 13.45], [49.1, 1.36, 13.42], [48.2, 1.335, 13.5], [47.4, 1.4, 13.92], [46.72, 1.66, 14.5]),
  'handles',
);
const halfLoose = plugIn(loose, 'start', mouthOf(PUMP_SOCKET)) ?? loose;

/** Over the ferry's deck, from its pump to the valve at the rail, both ends plugged in. */
export const HOSE: CurveSpec = plugIn(halfLoose, 'end', mouthOf(VALVE_SOCKET)) ?? halfLoose;

const unplugged = changeKind(
  {
    kind: 'hanging',
    closed: false,
    points: through([34.2, 5.1, -4.2], [43.05, 3.05, -13.72]),
    numbers: { slack: 0.03 },
  },
  'handles',
);
const halfPlugged = plugIn(unplugged, 'start', mouthOf(MAST_SOCKET)) ?? unplugged;

/** From the mast to the hut, both ends plugged into sockets. */
export const WIRES: CurveSpec = plugIn(halfPlugged, 'end', mouthOf(HUT_SOCKET)) ?? halfPlugged;

const FOOT: Vec3 = [34, 1.05, -4];
const WINDING = { from: 0.05, rise: 3.1, turns: 2.4, startAngle: 0.4, clearance: 0.02 };
/** How strongly the shoot grows: thicker at the foot. */
const GAUGES = [1.5, 0.9];
const wound = wrapRound(POST_SURFACE, { foot: FOOT, axis: [0, 1, 0], ...WINDING }, 2);

/** Wound round the signal mast. */
export const HONEYSUCKLE: CurveSpec = {
  kind: 'smooth',
  closed: false,
  points: (wound.ok ? wound.value : []).map((point, i, all) => {
    const end = i === 0 ? 0 : i === all.length - 1 ? 1 : undefined;
    return end === undefined ? point : { ...point, gauge: GAUGES[end] };
  }),
};

/** Up round the beacon, three quarters of a turn. */
export const STAIR: CurveSpec = {
  kind: 'helix',
  closed: false,
  points: through([20, 1.2, -25], [20, 5.4, -25]),
  numbers: { startRadius: 1.35, endRadius: 1.35, turns: 0.75 },
};

/** Over uneven ground along the shore: one stretch climbs a bank. */
export const FENCE: CurveSpec = {
  kind: 'straight',
  closed: false,
  points: through(
    [-36, 0.4, 31],
    [-33.975, 0.62, 31.627],
    [-31.878, 1.02, 31.943],
    [-29.758, 1.25, 31.943],
    [-27.649, 1.2, 31.732],
    [-25.571, 0.92, 31.31],
    [-23.462, 0.85, 31.099],
  ),
};

/** On from there, down to the water: the stretch that steps. */
export const FENCE_STEPS: CurveSpec = {
  kind: 'straight',
  closed: false,
  points: through(
    [-23.112, 0.85, 32.799],
    [-21.016, 0.6, 32.482],
    [-18.99, 0.35, 31.856],
    [-17.038, 0.12, 31.03],
    [-15.046, 0.05, 30.303],
  ),
};

/** From the pump's foot towards the wall of the pump house, which it has not reached. */
export const PIPE = smooth([11.4, 1.3, -28.9], [12, 1.5, -29.15], [12.6, 1.6, -29.75], [12.95, 1.6, -30.3]);

/** Half a ring round the fire pit. */
export const DRIFTWOOD: CurveSpec = {
  kind: 'arc',
  closed: false,
  points: through([22.6, 1.35, -33.5], [21.1, 1.33, -36], [24.1, 1.33, -38.4]),
};

/** Two widening turns on the sand beside it. */
export const DRIFTWOOD_SPIRAL: CurveSpec = {
  kind: 'helix',
  closed: false,
  points: through([19.4, 1.24, -33.2]),
  numbers: { startRadius: 0.24, endRadius: 0.92, turns: 2 },
};
