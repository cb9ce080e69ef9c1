import { line } from 'd3-shape';
import { compileCurve, type CurveKindName, type CurveSpec } from '../../core/curve/registry';
import { changeKind } from '../../core/edit/change-kind';

const [WIDE, HIGH] = [44, 26];
const LOOKS = 96;

/** What every kind makes of the same four places, or of what it is best for. */
const PLACES: readonly (readonly [number, number, number])[] = [[0, 0, 0], [1, 0, -0.9], [2, 0, 0.2], [3, 0, -0.7]]; // prettier-ignore
const OWN: Partial<Record<CurveKindName, CurveSpec>> = {
  hanging: { kind: 'hanging', closed: false, points: [{ position: [0, 0, 0] }, { position: [3, 0.3, 0] }], numbers: { slack: 0.25 } }, // prettier-ignore
  helix: { kind: 'helix', closed: false, points: [{ position: [0, 0, 0] }, { position: [0, 2.4, 0] }], numbers: { turns: 3, startRadius: 1, endRadius: 1 } }, // prettier-ignore
  belt: { kind: 'belt', closed: true, points: [{ position: [0, 0, 0], radius: 0.5 }, { position: [2, 0, 0], radius: 0.3 }, { position: [0.9, 0, 1.2], radius: 0.25 }] }, // prettier-ignore
  arc: { kind: 'arc', closed: false, points: [{ position: [0, 0, 0] }, { position: [1.5, 0, -1.2] }, { position: [3, 0, 0] }] }, // prettier-ignore
};

const sampleOf = (kind: CurveKindName): CurveSpec =>
  OWN[kind] ??
  changeKind(
    { kind: kind === 'straight' || kind === 'eased' ? 'straight' : 'smooth', closed: false, points: PLACES.map((position) => ({ position })) }, // prettier-ignore
    kind,
  );

/** Pairs of what is seen from in front and above, right and down. */
function seen(kind: CurveKindName): [number, number][] {
  const curve = compileCurve(sampleOf(kind));
  if (!curve.ok) return [];
  const at = new Float64Array(3);
  return Array.from({ length: LOOKS + 1 }, (_, i) => {
    curve.value.pointAt(at, 0, i / LOOKS);
    return [at[0] + at[2] * 0.3, at[2] * 0.8 - at[1]];
  });
}

/** A kind of path in small: the curve that the core makes of a few points. */
export function KindPicture({ kind }: { kind: CurveKindName }) {
  const places = seen(kind);
  const [xs, ys] = [places.map(([x]) => x), places.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const scale = Math.min((WIDE - 6) / Math.max(Math.max(...xs) - left, 1e-6), (HIGH - 6) / Math.max(Math.max(...ys) - top, 1e-6)); // prettier-ignore
  const [dx, dy] = [(WIDE - (Math.max(...xs) - left) * scale) / 2, (HIGH - (Math.max(...ys) - top) * scale) / 2];
  const d = line()(places.map(([x, y]) => [(x - left) * scale + dx, (y - top) * scale + dy])) ?? '';
  return (
    <svg width={WIDE} height={HIGH} aria-hidden style={{ flexShrink: 0 }}>
      <path d={d} fill="none" stroke="var(--mui-palette-primary-main)" strokeWidth={1.6} strokeLinejoin="round" />
    </svg>
  );
}
