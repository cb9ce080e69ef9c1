import { firstAfter } from '../math/first-after';
import type { FrameTable } from '../frames/frame-table';
import { integrateShort } from '../math/gauss-legendre';

/** A way to measure along a path: metres from its start to a station, and back. */
export interface Measure {
  placeOf(station: number): number;
  stationOf(place: number): number;
}

export const ALONG_THE_PATH: Measure = { placeOf: (station) => station, stationOf: (place) => place };

/**
 * A path measured by a rate: so many metres a metre of it at a station, never negative. Between samples the rate is integrated, but where `isEven` says
 * that it is one. Where it is nothing a place has many stations: the first of them. Asking is a binary search; making it is linear in samples.
 */
export function measureBy(
  { stations, length, closed }: FrameTable,
  rate: (station: number) => number,
  isEven: (interval: number) => boolean = () => false,
): Measure {
  const sums = new Float64Array(stations.length);
  let isEvenAll = true;
  for (let i = 1; i < stations.length; i++) {
    const step = stations[i] - stations[i - 1];
    const isOwn = isEven(i - 1);
    isEvenAll &&= isOwn;
    sums[i] = sums[i - 1] + (step === 0 ? 0 : isOwn ? step : integrateShort(rate, stations[i - 1], stations[i]));
  }
  if (isEvenAll) return ALONG_THE_PATH;
  const whole = sums[sums.length - 1];
  const [atStart, atEnd] = [rate(0), rate(length)];
  const inside = (station: number) => {
    const i = Math.max(firstAfter(stations, station) - 1, 0);
    return sums[i] + (station > stations[i] ? integrateShort(rate, stations[i], station) : 0);
  };
  return {
    placeOf(station) {
      if (closed) {
        const rounds = Math.floor(station / length);
        return rounds * whole + (station === length ? 0 : inside(station - rounds * length));
      }
      if (station < 0) return station * atStart;
      return station > length ? whole + (station - length) * atEnd : inside(station);
    },
    stationOf(place) {
      if (!closed && place < 0) return place / (atStart || 1);
      if (!closed && place > whole) return length + (place - whole) / (atEnd || 1);
      const rounds = closed ? Math.floor(place / whole) : 0;
      const wanted = place - rounds * whole;
      const i = Math.min(Math.max(firstAfter(sums, wanted) - 1, 0), sums.length - 2);
      // Newton, kept between the two samples.
      let [low, high] = [stations[i], stations[i + 1]];
      let station = low + ((high - low) * (wanted - sums[i])) / (sums[i + 1] - sums[i] || 1);
      for (let round = 0; round < 50 && high - low > length * 1e-15; round++) {
        const off = sums[i] + integrateShort(rate, stations[i], station) - wanted;
        if (Math.abs(off) <= whole * 1e-14) break;
        if (off > 0) high = station;
        else low = station;
        const next = station - off / rate(station);
        station = next > low && next < high ? next : (low + high) / 2;
      }
      return rounds * length + station;
    },
  };
}
