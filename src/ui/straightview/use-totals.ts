import { useMemo } from 'react';
import { readAlong } from '../../core/shape/bend-along';
import type { LaneName } from '../../core/shape/lane';
import type { Reach } from '../../core/shape/reach';
import { saidLanes, valueOn } from '../../core/shape/said-lanes';
import type { PathView } from '../../engine/path-view';
import { namesOf, type LanePick } from '../../project/commands/lanes';
import type { Path, Run } from '../../project/schema';

/** What all lanes of a name come to at a station. */
export type TotalAt = (pick: LanePick, station: number) => number;

/** What is said of a run along its length in all: by itself, its keys, its path's points, and by how the path bends. */
export function useTotals(run: Run, path: Path | undefined, view: PathView, reach: Reach): TotalAt {
  const { shape } = run;
  const points = path?.curve.points;
  return useMemo(() => {
    const { pointStations, length, closed, stations, follows } = view;
    const known = points?.length === pointStations.length ? points : [];
    const said = saidLanes(shape, { reach, points: known, pointStations, period: closed ? length : undefined });
    return (pick, station) => {
      const [name] = namesOf(pick) as [LaneName];
      const value = valueOn(said, name, station);
      if (!follows || (name !== 'roll' && name !== 'gaugeUp' && name !== 'gaugeSide')) return value;
      const add = readAlong(stations, name === 'roll' ? follows.rolls : follows.gauges, station);
      return name === 'roll' ? value + add : value * add;
    };
  }, [shape, reach, points, view]);
}
