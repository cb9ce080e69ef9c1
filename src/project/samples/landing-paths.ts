export type Place = readonly [number, number, number];

export const CAUSEWAY: readonly Place[] = [
  [-43.5, 0, 8],
  [-30, 0.05, 22],
  [-11, 0.2, 25],
  [2, 0.5, 11.5],
  [6.5, 0.8, -8],
  [17, 1.05, -19],
  [32, 1.1, -14],
  [46, 1.1, -3],
];

/** From the bollard, slack, to the ferry's cleat. */
export const MOORING: readonly Place[] = [
  [44.5, 1.75, 2.4],
  [46.4, 1.28, 4.6],
  [48.6, 1.12, 7],
  [50.8, 1.42, 9.3],
  [52.4, 1.95, 11],
];

/** From the bow roller down to the bed. */
export const ANCHOR: readonly Place[] = [
  [55, 2.3, 12.5],
  [55.5, 1.2, 13.4],
  [56.6, 0.2, 14.8],
  [58.6, -0.25, 16.6],
  [61, -0.3, 18],
];

/** Round the dredger's two tumblers, standing on edge. */
export const BUCKETS: readonly Place[] = [
  [59, 4.2, 4],
  [58.1, 3.5, 4],
  [58.2, 2.5, 4],
  [62.2, -0.6, 4],
  [63.1, -0.9, 4],
  [63.8, -0.3, 4],
  [63.5, 0.5, 4],
  [59.9, 4, 4],
];

/** From the hut's ceiling down to the reading lamp. */
export const LAMP: readonly Place[] = [
  [40, 3.6, -9.4],
  [40, 3.15, -9.4],
  [40.06, 2.75, -9.36],
  [40.2, 2.45, -9.3],
];

/** Along the ferry's side and over into the water. */
export const HOSE: readonly Place[] = [
  [50.5, 1.4, 13.5],
  [51.3, 1.65, 13.9],
  [52.2, 1.5, 14.4],
  [52.8, 0.9, 15],
  [53, 0.2, 15.8],
];

/** From the mast to the hut. */
export const WIRES: readonly Place[] = [
  [34, 5.2, -4],
  [35.8, 4.4, -5.8],
  [37.6, 3.9, -7.6],
  [39.2, 3.7, -9.2],
];

/** Up and round the signal mast. */
export const HONEYSUCKLE: readonly Place[] = Array.from({ length: 15 }, (_, i) => {
  const angle = i * 0.85;
  const round = (v: number) => Math.round(v * 1000) / 1000;
  return [round(34 + 0.16 * Math.cos(angle)), round(1.05 + i * 0.22), round(-4 + 0.16 * Math.sin(angle))] as const;
});

/** Up round the beacon, a turn and a quarter. */
export const STAIR: readonly Place[] = Array.from({ length: 11 }, (_, i) => {
  const angle = i * 0.78;
  const round = (v: number) => Math.round(v * 1000) / 1000;
  return [round(20 + 1.35 * Math.cos(angle)), round(1.2 + i * 0.42), round(-25 + 1.35 * Math.sin(angle))] as const;
});

/** Half a ring round the fire pit. */
export const DRIFTWOOD: readonly Place[] = [
  [22.6, 1.35, -33.5],
  [21.2, 1.32, -35.4],
  [22, 1.35, -37.6],
  [24.1, 1.33, -38.4],
];
