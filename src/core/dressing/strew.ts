import type { z } from 'zod';
import type { FitSpec } from '../layout/fit-registry';
import type { strewn as strewnFit } from '../layout/fits/strewn';
import type { LaidCourse } from '../layout/lay-course';
import type { Placement } from '../layout/placement';
import type { Strewn } from '../layout/place';
import type { StrewnLayout } from '../layout/strewn';
import type { WornPiece } from '../layout/worn-pieces';
import { seededAt } from '../math/random';
import { fail, ok, type Result } from '../math/result';
import type { PreparedSegment } from '../segment/prepared-segment';
import { valueOn } from '../shape/said-lanes';
import { frameOn, GAUGE_SIDE, GAUGE_UP } from '../shape/frame-on';
import type { Shape } from '../shape/shape';
import { Apart } from './apart';
import { standing, standsOn } from './stands';
import { pointOf, surfaceAreas, type SurfaceAreas, type SurfacePoint } from './surface-points';

export type StrewnSpec = z.infer<(typeof strewnFit)['schema']>;

/** What things are strewn over: a laid course of the same run, with its own shape and fit. */
export interface Ground {
  readonly laid: LaidCourse;
  readonly shape: Shape;
  readonly fit: FitSpec;
}

/** Most pieces that are strewn over one course. */
export const MOST_STREWN = 20_000;
/** So many points are drawn for each of them at the most. */
const TRIES = 50;

/**
 * Strews pieces over a course: evenly by area as its pieces are made, thinned by the density lane and by what the surface looks like; `bodies` = natural
 * lengths of the segments, metres, of which each piece is one by chance. Every piece of the ground has random numbers of its own, so that what lies
 * on it stays when others come or go. Problems: `strewn.too-many`.
 */
export function strew({ laid, shape, fit }: Ground, spec: StrewnSpec, bodies: readonly number[]): Result<StrewnLayout> {
  const areas = new Map<PreparedSegment, SurfaceAreas>();
  const apart = new Apart(spec.apart);
  const found: Found[] = [];
  let tried = 0;
  for (const piece of laid.pieces) {
    const { form, placement } = piece;
    const own = areas.get(form) ?? surfaceAreas(form.mesh, spec.part);
    areas.set(form, own);
    const random = seededAt(spec.seed, placement.piece);
    const most = Math.ceil(mostDense(shape, piece));
    const wanted = spec.density * own.total * piece.factor * most;
    tried += wanted;
    if (tried > MOST_STREWN * TRIES) return fail('strewn.too-many', { most: MOST_STREWN });
    const tries = Math.floor(wanted) + (random() < wanted % 1 ? 1 : 0);
    const drawn: Drawn[] = [];
    for (let i = 0; i < tries; i++) {
      // All are drawn for each, so that the next ones do not hang on which of them count.
      const point = pointOf(own, random(), random(), random());
      const kept = random();
      const turns = [random(), random(), random(), random(), random()] as const;
      const station = piece.station + piece.factor * point.place[0];
      if (kept * most < densityAt(shape, station) && isInBand(point.place[2], form, spec)) drawn.push({ place: point.place, normal: point.normal, station, turns }); // prettier-ignore
    }
    const stands = standsOn(piece, fit, shape, drawn);
    for (const [i, { place, normal, station, turns }] of drawn.entries()) {
      const [body, size, spin, tilt, towards] = turns;
      if (Math.acos(Math.min(1, Math.max(-1, stands[i].normal[1]))) > spec.within) continue;
      if (!apart.takes(stands[i].position)) continue;
      const scale = spec.least + (spec.greatest - spec.least) * size;
      const standOn = standing(piece, fit, { place, normal, station }, { shape, stand: stands[i] });
      const strewn = { standOn, spin: spin * 2 * Math.PI, tilt: tilt * spec.tilt, towards: towards * 2 * Math.PI };
      found.push({ station, body: Math.floor(body * bodies.length), scale, strewn });
    }
    if (found.length > MOST_STREWN) return fail('strewn.too-many', { most: MOST_STREWN });
  }
  found.sort((a, b) => a.station - b.station);
  const { reach } = shape;
  const placements = found.map((own, piece) => placementOf(own, piece, bodies[own.body]));
  return ok({
    layout: { reach, placements, round: false, gapAfter: 0, before: 0, remainder: 0 },
    strewn: found.map(({ strewn }) => strewn),
  });
}

/** A point that may count, and what chance says of what lies there. */
interface Drawn extends SurfacePoint {
  readonly station: number;
  readonly turns: readonly [body: number, size: number, spin: number, tilt: number, towards: number];
}

interface Found {
  readonly station: number;
  readonly body: number;
  readonly scale: number;
  readonly strewn: Strewn;
}

/** The lane's value, times as much surface as the gauge makes. */
function densityAt(shape: Shape, station: number): number {
  if (!shape.lanes.some(({ name }) => THINNING.includes(name))) return 1;
  const frame = frameOn(shape, station);
  return (Math.max(valueOn(shape.lanes, 'density', station), 0) * (frame[GAUGE_UP] + frame[GAUGE_SIDE])) / 2;
}

const THINNING: readonly string[] = ['density', 'gaugeUp', 'gaugeSide'];

/** At least the greatest density over a piece, but for what lies between its ends, its middle and the lanes' places. */
function mostDense(shape: Shape, { station, factor, worn }: WornPiece): number {
  const end = station + factor * worn.length;
  const places = shape.lanes.flatMap((lane) => lane.places).filter((at) => at > station && at < end);
  return Math.max(...[station, (station + end) / 2, end, ...places].map((at) => densityAt(shape, at)));
}

function isInBand(z: number, { box: { min, max } }: PreparedSegment, { across, band }: StrewnSpec): boolean {
  const [left, right] = [z - min[2], max[2] - z];
  switch (across) {
    case 'everywhere':
      return true;
    case 'edges':
      return Math.min(left, right) <= band;
    case 'left':
      return left <= band;
    case 'right':
      return right <= band;
    case 'middle':
      return Math.abs(left - right) <= band;
  }
}

/** A piece whose middle is at a station. Written out: there are many of these, and objects that are put together are slow. */
const placementOf = ({ station, body, scale }: Found, piece: number, natural: number): Placement => ({
  piece,
  kind: 'body',
  body,
  station: station - (natural * scale) / 2,
  length: natural * scale,
  natural,
  stretch: 1,
  factor: scale,
  cutAt: undefined,
  gap: 0,
  overlap: 0,
  turn: 0,
  mirrored: false,
  hidden: false,
  up: 0,
  side: 0,
  meets: undefined,
  isPartEnd: false,
});
