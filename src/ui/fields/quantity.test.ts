import { quantityText, readQuantity } from './quantity';

describe('readQuantity', () => {
  // 1 ft = 0.3048 m and 1 in = 0.0254 m exactly (international yard and pound agreement, 1959).
  it.each([
    ['3.2 m', 3.2],
    ['320 mm', 0.32],
    ['8 ft 7 in', 8 * 0.3048 + 7 * 0.0254],
    [`8' 7"`, 8 * 0.3048 + 7 * 0.0254],
    ['-1,5', -1.5],
    ['2', 2],
    ['1e-3', 0.001],
    ['−4 cm', -0.04],
    ['1/2+1', 1.5],
    ['3*0.9 m', 2.7],
    ['2 m - 30 cm', 1.7],
    ['1 + 20 cm', 1.2],
    ['(8 ft 7 in) / 2', (8 * 0.3048 + 7 * 0.0254) / 2],
    ['2 * -(1 + 0.5)', -3],
  ])('reads %s as metres', (text, metres) => {
    expect(readQuantity(text, 'length')).toBeCloseTo(metres, 12);
  });

  it('reads angles as radians and times as seconds', () => {
    expect(readQuantity('90', 'angle')).toBeCloseTo(Math.PI / 2, 12);
    expect(readQuantity('1.5 turns', 'angle')).toBeCloseTo(3 * Math.PI, 12);
    expect(readQuantity('2 min 5 s', 'time')).toBe(125);
  });

  it.each([
    '',
    'three',
    '3 furlongs',
    '3 m or so',
    'm',
    '1..2',
    '1 2',
    '1/0',
    '2 m * 3 m',
    '1 / 2 m',
    'alert(1)',
    'q0',
    '2 ** 3',
    '"3"',
    '[1]',
    '1 +',
  ])('refuses %j', (text) => {
    expect(readQuantity(text, 'length')).toBeUndefined();
  });

  it.each(['length', 'angle', 'time', 'plain'] as const)('reads back what it writes (%s)', (name) => {
    for (const value of [0, 1, -2.5, 0.125, 12]) {
      expect(readQuantity(quantityText(value, name), name)).toBeCloseTo(value, 2);
    }
  });
});
