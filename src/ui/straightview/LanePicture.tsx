import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { compileLane, type LaneSpec } from '../../core/shape/lane-spec';
import { UNIT_REACH } from '../../core/shape/profile-registry';

const WIDTH = 84;
const HEIGHT = 30;
const LOOKS = 84;

/** A lane in small: of a gauge the run as thick as it gets, of others their curve. */
export function LanePicture({ lane, isGauge }: { lane: LaneSpec; isGauge: boolean }) {
  const { at } = compileLane(lane, UNIT_REACH);
  const looks = Array.from({ length: LOOKS + 1 }, (_, i) => i / LOOKS);
  const values = looks.map((share) => at(share)[0]);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const x = scaleLinear([0, 1], [1, WIDTH - 1]);
  const middle = HEIGHT / 2;
  if (isGauge) {
    const half = (share: number) => (at(share)[0] / Math.max(most, 1.2)) * (middle - 2);
    const d = area<number>(x, (share) => middle + half(share), (share) => middle - half(share))(looks)!; // prettier-ignore
    return (
      <svg width={WIDTH} height={HEIGHT} aria-hidden>
        <path d={d} fill="var(--mui-palette-tokens-cane)" fillOpacity={0.75} />
      </svg>
    );
  }
  const room = Math.max(most - least, 1e-6);
  const y = scaleLinear([least - room * 0.1, most + room * 0.1], [HEIGHT - 2, 2]);
  return (
    <svg width={WIDTH} height={HEIGHT} aria-hidden>
      <path
        d={line<number>(x, (share) => y(at(share)[0]))(looks)!}
        fill="none"
        stroke="var(--mui-palette-tokens-sky)"
        strokeWidth={1.5}
      />
    </svg>
  );
}
