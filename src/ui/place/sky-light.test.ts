import { Color } from 'three';
import { skyLight, sunDirection, tableLight } from './sky-light';

const bright = (hex: string) => new Color(hex).getHSL({ h: 0, s: 0, l: 0 }).l;

describe('the light of the sky', () => {
  // Compass bearings: north 0, east a quarter turn on (common practice of navigation); north is -z, east +x.
  it('comes from where the sun stands', () => {
    const [north, east] = [0, Math.PI / 2].map((bearing) => sunDirection({ bearing, height: 0.3 }));
    expect(north[0]).toBeCloseTo(0, 12);
    expect(north[2]).toBeCloseTo(-Math.cos(0.3), 12);
    expect(east[0]).toBeCloseTo(Math.cos(0.3), 12);
    for (const bearing of [0, 1, 2.5, 4]) {
      const way = sunDirection({ bearing, height: 0.7 });
      expect(Math.hypot(...way)).toBeCloseTo(1, 12);
      expect(way[1]).toBeCloseTo(Math.sin(0.7), 12);
    }
  });

  it.each([false, true])('goes over smoothly from a low sun to a high one, dark: %s', (isDark) => {
    let before = skyLight(0.02, isDark);
    for (let height = 0.03; height <= Math.PI / 2; height += 0.01) {
      const now = skyLight(height, isDark);
      expect(Math.abs(now.sunStrength - before.sunStrength)).toBeLessThan(0.05);
      expect(Math.abs(bright(now.horizon) - bright(before.horizon))).toBeLessThan(0.02);
      before = now;
    }
  });

  it('is redder when the sun is low, and darker in the dark theme, where a rim of light stands out', () => {
    const [low, high] = [0.05, 1].map((height) => new Color(skyLight(height, false).sun));
    expect(low.b / low.r).toBeLessThan(high.b / high.r);
    expect(bright(skyLight(0.6, true).horizon)).toBeLessThan(0.5 * bright(skyLight(0.6, false).horizon));
    expect(skyLight(0.6, true).rim).toBeGreaterThan(skyLight(0.6, false).rim);
    expect(tableLight(true).rim).toBeGreaterThan(tableLight(false).rim);
  });
});
