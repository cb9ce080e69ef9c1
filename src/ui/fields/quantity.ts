import jsep, { type Expression } from 'jsep';

/** What a number field holds. Inside: metres, radians, seconds, plain numbers. */
export type QuantityName = 'length' | 'angle' | 'time' | 'speed' | 'percent' | 'plain';

interface Quantity {
  /** Inside units per unit shown. */
  readonly units: Readonly<Record<string, number>>;
  readonly shown: string;
  readonly digits: number;
}

const DEGREE = Math.PI / 180;

export const QUANTITIES: Readonly<Record<QuantityName, Quantity>> = {
  length: {
    units: { mm: 0.001, cm: 0.01, m: 1, km: 1000, in: 0.0254, '"': 0.0254, ft: 0.3048, "'": 0.3048 },
    shown: 'm',
    digits: 3,
  },
  angle: { units: { '°': DEGREE, deg: DEGREE, rad: 1, turn: 2 * Math.PI, turns: 2 * Math.PI }, shown: '°', digits: 2 },
  time: { units: { ms: 0.001, s: 1, min: 60 }, shown: 's', digits: 3 },
  speed: { units: { 'm/s': 1, 'km/h': 1 / 3.6, 'ft/s': 0.3048 }, shown: 'm/s', digits: 3 },
  percent: { units: { '%': 0.01 }, shown: '%', digits: 2 },
  plain: { units: {}, shown: '', digits: 4 },
};

/** A number with how many times a unit is in it: 0 for "3", 1 for "3 m". */
interface Measured {
  readonly value: number;
  readonly power: number;
}

const WITH_UNIT = /(\d+(?:\.\d*)?(?:e[-+]?\d+)?|\.\d+)\s*([a-z°%"']*(?:\/[sh])?)/g;

/**
 * Reads "3.2 m", "8 ft 7 in", "-45°", "1/2 + 1", "3 * 0.9 m": numbers with or without units, and sums of them; what has no unit in the end
 * is in the unit shown. Undefined when the text is none of these.
 */
export function readQuantity(text: string, name: QuantityName): number | undefined {
  const { units, shown } = QUANTITIES[name];
  const read: Measured[] = [];
  const clean = text.trim().replaceAll(',', '.').replaceAll('−', '-').toLowerCase();
  const named = clean
    .replace(WITH_UNIT, (whole, number: string, unit: string) => {
      if (unit === '') return whole;
      read.push({ value: Number(number) * (units[unit] ?? NaN), power: 1 });
      return `$${read.length - 1}`;
    })
    .replace(/\$\d+(\s+\$\d+)+/g, (list) => `(${list.trim().replaceAll(/\s+/g, '+')})`); // 8 ft 7 in is a sum
  if (clean.includes('$')) return undefined; // stands for what was read, below
  const inShown = shown === '' ? 1 : units[shown];
  try {
    const { value, power } = evaluated(jsep(named), read, inShown);
    const result = power === 0 ? value * inShown : value;
    return Number.isFinite(result) && (power === 0 || power === 1) ? result : undefined;
  } catch {
    return undefined;
  }
}

/** Throws where there is anything but numbers, units, + - * / and brackets. */
function evaluated(node: Expression, read: readonly Measured[], inShown: number): Measured {
  const { type, value, name, operator, left, right, argument } = node as Expression & Record<string, Expression>;
  if (type === 'Literal' && typeof value === 'number') return { value, power: 0 };
  const known = type === 'Identifier' ? read[Number(/^\$(\d+)$/.exec(String(name))?.[1])] : undefined;
  if (known) return known;
  if (type === 'UnaryExpression' && (String(operator) === '-' || String(operator) === '+')) {
    const of = evaluated(argument, read, inShown);
    return String(operator) === '-' ? { ...of, value: -of.value } : of;
  }
  if (type !== 'BinaryExpression') throw new SyntaxError('evaluated: no sum');
  const [a, b] = [evaluated(left, read, inShown), evaluated(right, read, inShown)];
  switch (String(operator)) {
    case '*':
      return { value: a.value * b.value, power: a.power + b.power };
    case '/':
      return { value: a.value / b.value, power: a.power - b.power };
    case '+':
    case '-': {
      const power = Math.max(a.power, b.power);
      const [x, y] = [a, b].map((of) => of.value * (of.power === power ? 1 : inShown)) as [number, number];
      return { value: String(operator) === '+' ? x + y : x - y, power };
    }
    default:
      throw new SyntaxError(`evaluated: no operator ${String(operator)}`);
  }
}

/** The value with its unit, without needless digits: "3.2 m". */
export function quantityText(value: number, name: QuantityName): string {
  const { units, shown, digits } = QUANTITIES[name];
  const inUnit = value / (units[shown] ?? 1);
  // Small sizes keep two digits more.
  const number = Number(inUnit.toFixed(Math.abs(inUnit) < 0.01 ? digits + 2 : digits));
  return shown === '' ? String(number) : shown === '°' ? `${number}°` : `${number} ${shown}`;
}
