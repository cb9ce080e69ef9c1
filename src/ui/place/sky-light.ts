import { Color } from 'three';

/** Colours of the sky and what comes of them. */
export interface SkyLight {
  readonly zenith: string;
  /** Where sky and ground meet, which is the colour of mist. */
  readonly horizon: string;
  readonly sun: string;
  readonly sunStrength: number;
  /** What shines from all around. */
  readonly ambient: number;
  /** What shines from behind, so that dark things stand out from what is dark. */
  readonly rim: number;
}

interface Day {
  /** Radians that the sun stands high. */
  readonly height: number;
  readonly light: SkyLight;
}

/** From a low sun to a high one; between them all is blended. */
const DAYS: readonly Day[] = [
  { height: 0.05, light: { zenith: '#6d83a0', horizon: '#efcfae', sun: '#ffb27a', sunStrength: 2, ambient: 0.5, rim: 0.3 } }, // prettier-ignore
  { height: 0.35, light: { zenith: '#6f9cc4', horizon: '#ecdfc8', sun: '#ffdcae', sunStrength: 2.7, ambient: 0.58, rim: 0 } }, // prettier-ignore
  { height: 0.9, light: { zenith: '#6fa3cf', horizon: '#e6e6dc', sun: '#fff1dc', sunStrength: 2.7, ambient: 0.64, rim: 0 } }, // prettier-ignore
];

/** The same in lamp light: a sky after sunset, a moon for the sun. */
const DUSKS: readonly Day[] = [
  { height: 0.05, light: { zenith: '#1b2733', horizon: '#59585a', sun: '#cfd8ea', sunStrength: 1.9, ambient: 0.75, rim: 0.6 } }, // prettier-ignore
  { height: 0.9, light: { zenith: '#1d2b38', horizon: '#4b5960', sun: '#dbe4f2', sunStrength: 2.1, ambient: 0.8, rim: 0.6 } }, // prettier-ignore
];

/** Over what one works on: neutral, whatever the sky. */
export const tableLight = (isDark: boolean): SkyLight => ({
  ...{ zenith: '#ffffff', horizon: '#d9dcdd', sun: '#fff1dc', sunStrength: 2.6, ambient: 0.62 },
  rim: isDark ? 0.9 : 0,
});

const mixed = (a: string, b: string, t: number): string => `#${new Color(a).lerp(new Color(b), t).getHexString()}`;

/** The light of a sun that stands so many radians high, by day or in the dark theme. */
export function skyLight(height: number, isDark: boolean): SkyLight {
  const days = isDark ? DUSKS : DAYS;
  const found = days.findIndex((day) => day.height > height);
  const next = found < 0 ? days.length - 1 : Math.max(found, 1);
  const [a, b] = [days[next - 1], days[next]];
  const t = Math.min(Math.max((height - a.height) / (b.height - a.height), 0), 1);
  const [p, q] = [a.light, b.light];
  const blend = (name: 'sunStrength' | 'ambient' | 'rim') => p[name] + (q[name] - p[name]) * t;
  return {
    zenith: mixed(p.zenith, q.zenith, t),
    horizon: mixed(p.horizon, q.horizon, t),
    sun: mixed(p.sun, q.sun, t),
    ...{ sunStrength: blend('sunStrength'), ambient: blend('ambient'), rim: blend('rim') },
  };
}

/** From the ground to the sun: a unit vector. Bearings go clockwise from north (-z) as seen from above. */
export const sunDirection = ({ bearing, height }: { bearing: number; height: number }) =>
  [Math.sin(bearing) * Math.cos(height), Math.sin(height), -Math.cos(bearing) * Math.cos(height)] as const;
