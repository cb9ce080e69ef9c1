import type { SectionPoint } from '../../core/segment/extrude';
import { fitSection, SHEET } from './fit-section';

const outlines: Readonly<Record<string, readonly SectionPoint[]>> = {
  'a wide road': [[-4, 0], [4, 0], [4, 0.2], [-4, 0.2]], // prettier-ignore
  'a high wall': [[-0.1, 0], [0.1, 0], [0.1, 3], [-0.1, 3]], // prettier-ignore
  'what lies far beside the path': [[10, 5], [11, 5], [11, 6]], // prettier-ignore
  'a single place': [[0, 0]],
};

describe.each(Object.entries(outlines))('the sheet of %s', (_, outline) => {
  const { x, y } = fitSection(outline);

  it('shows all of it and the middle of the path, clear of the margin', () => {
    for (const [z, up] of [...outline, [0, 0] as const]) {
      expect(x(z)).toBeGreaterThanOrEqual(SHEET.margin - 1e-9);
      expect(x(z)).toBeLessThanOrEqual(SHEET.width - SHEET.margin + 1e-9);
      expect(y(up)).toBeGreaterThanOrEqual(SHEET.margin - 1e-9);
      expect(y(up)).toBeLessThanOrEqual(SHEET.height - SHEET.margin + 1e-9);
    }
  });

  it('has one measure both ways, and up is up', () => {
    expect(x(1) - x(0)).toBeCloseTo(y(0) - y(1), 6);
    expect(x(1)).toBeGreaterThan(x(0));
  });
});
