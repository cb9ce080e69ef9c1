/** What a number field holds. Inside: metres, radians, seconds, plain numbers. */
export type QuantityName = 'length' | 'angle' | 'time' | 'percent' | 'plain';

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
  percent: { units: { '%': 0.01 }, shown: '%', digits: 2 },
  plain: { units: {}, shown: '', digits: 4 },
};

/**
 * Reads "3.2 m", "8 ft 7 in", "320 mm", "-45°", "12": numbers with units, added up; a number without one is in the unit shown.
 * Undefined when the text is none of these.
 */
export function readQuantity(text: string, name: QuantityName): number | undefined {
  const { units, shown } = QUANTITIES[name];
  const clean = text.trim().replaceAll(',', '.').replaceAll('−', '-').toLowerCase();
  const isNegative = clean.startsWith('-');
  const body = clean.replace(/^[-+]\s*/, '');
  const pattern = /(\d+(?:\.\d*)?(?:e[-+]?\d+)?|\.\d+)\s*([a-z°%"']*)\s*/gy;
  let sum = 0;
  let end = 0;
  let count = 0;
  let bare = 0;
  for (let match = pattern.exec(body); match; match = pattern.exec(body)) {
    count++;
    if (match[2] === '') bare++;
    const unit = match[2] === '' ? shown : match[2]!;
    const factor = unit === '' ? 1 : units[unit];
    if (factor === undefined) return undefined;
    sum += Number(match[1]) * factor;
    end = pattern.lastIndex;
  }
  if (end === 0 || end !== body.length || !Number.isFinite(sum) || (count > 1 && bare > 0)) return undefined;
  return isNegative ? -sum : sum;
}

/** The value with its unit, without needless digits: "3.2 m". */
export function quantityText(value: number, name: QuantityName): string {
  const { units, shown, digits } = QUANTITIES[name];
  const inUnit = value / (units[shown] ?? 1);
  // Small sizes keep two digits more.
  const number = Number(inUnit.toFixed(Math.abs(inUnit) < 0.01 ? digits + 2 : digits));
  return shown === '' ? String(number) : shown === '°' ? `${number}°` : `${number} ${shown}`;
}
