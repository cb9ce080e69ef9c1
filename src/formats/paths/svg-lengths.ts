export type Attributes = Readonly<Record<string, string | undefined>>;

/** What shares in percent refer to, user units. */
export interface Frame {
  readonly width: number;
  readonly height: number;
}

/** Metres per absolute length unit (CSS Values and Units 3, section 6.2). */
const METRES: Readonly<Record<string, number>> = {
  mm: 1e-3,
  cm: 1e-2,
  in: 0.0254,
  pt: 0.0254 / 72,
  pc: 0.0254 / 6,
  q: 2.5e-4,
};
/** A user unit is a 96th of an inch. */
const PER_METRE = 96 / 0.0254;
/** Size of letters where nothing is said (common practice, no source). */
const LETTERS: Readonly<Record<string, number>> = { em: 16, rem: 16, ex: 8, ch: 8 };
const NUMBER = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z%]*)\s*$/i;

const numberAndUnit = (text: string | undefined): readonly [number, string] | undefined => {
  const match = NUMBER.exec(text ?? '');
  return match ? [Number(match[1]), match[2].toLowerCase()] : undefined;
};

/** A length in user units: with a unit, or in percent of the frame's width, height or mean (SVG 2, section 8.9); undefined = none. */
export function lengthOf(text: string | undefined, key: string, { width, height }: Frame): number | undefined {
  const [value, unit] = numberAndUnit(text) ?? [Number.NaN, ''];
  if (!Number.isFinite(value)) return undefined;
  if (unit === '%') {
    const whole = /x|width/.test(key) ? width : /y|height/.test(key) ? height : Math.hypot(width, height) / Math.SQRT2;
    return (value / 100) * whole;
  }
  if (unit === '' || unit === 'px') return value;
  const metres = Object.hasOwn(METRES, unit) ? METRES[unit] : undefined;
  return metres === undefined ? value * (Object.hasOwn(LETTERS, unit) ? LETTERS[unit] : 1) : value * metres * PER_METRE;
}

const viewBoxOf = ({ viewBox }: Attributes): readonly number[] | undefined => {
  const box = viewBox
    ?.trim()
    .split(/[\s,]+/)
    .map(Number);
  return box?.length === 4 && box.every(Number.isFinite) && box[2] > 0 && box[3] > 0 ? box : undefined;
};

/** What shares within an svg element refer to. */
export function frameOf(attributes: Attributes, outer: Frame): Frame {
  const box = viewBoxOf(attributes);
  if (box) return { width: box[2], height: box[3] };
  const size = (key: 'width' | 'height') => lengthOf(attributes[key], key, outer) ?? outer[key];
  return { width: size('width'), height: size('height') };
}

/** How an svg element within another one lies in it (SVG 2, section 8.2; the whole is shown, in the middle). */
export function placing(attributes: Attributes, inner: Frame, outer: Frame): string {
  const at = (key: string, otherwise: number) => lengthOf(attributes[key], key, outer) ?? otherwise;
  const [x, y, w, h] = [at('x', 0), at('y', 0), at('width', outer.width), at('height', outer.height)];
  const [left, top] = viewBoxOf(attributes) ?? [0, 0];
  const scale = Math.min(w / inner.width, h / inner.height);
  const [dx, dy] = [x + (w - inner.width * scale) / 2, y + (h - inner.height * scale) / 2];
  return `translate(${dx} ${dy}) scale(${scale}) translate(${-left} ${-top})`;
}

/** Metres per user unit, where width is told in a unit of length. */
export function unitOf(attributes: Attributes): number | undefined {
  const [value, unit] = numberAndUnit(attributes.width) ?? [0, ''];
  const metres = Object.hasOwn(METRES, unit) ? METRES[unit] : undefined;
  if (!metres || !(value > 0)) return undefined;
  const box = viewBoxOf(attributes);
  return box ? (value * metres) / box[2] : 1 / PER_METRE;
}
