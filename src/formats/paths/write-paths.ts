import Papa from 'papaparse';
import { buildArcTable } from '../../core/curve/arc-table';
import { fitHandles } from '../../core/curve/fit-handles';
import { compileCurve } from '../../core/curve/registry';
import { buildFrameTable } from '../../core/frames/build-frame-table';
import { fillFrame } from '../../core/frames/fill-frame';
import { CUBIC_GAIN } from '../../core/frames/plan-spans';
import { CURVATURE, FRAME_STRIDE, type FrameTable } from '../../core/frames/frame-table';
import { add } from '../../core/math/vec3';
import type { NamedBytes } from '../format';
import type { NamedCurve } from './path-format';

/** How near a written curve keeps to the path, as a share of its length. */
const FIT_SHARE = 1e-6;
/** Stations in a table, about. */
const STATIONS = 200;
/** Metres: the tolerance of tables whose samples' chords keep within a millimetre of the path. */
const CHORDS = 0.001 / CUBIC_GAIN;

const bytesOf = (text: string) => new TextEncoder().encode(text);
const fileOf = ({ name }: NamedCurve, extension: string, text: string): NamedBytes => ({
  name: `${name.trim().replace(/[^\p{L}\p{N}._-]+/gu, '-') || 'path'}.${extension}`,
  bytes: bytesOf(text),
});
const short = (x: number): string => String(Number(x.toFixed(6)));

function tableOf(path: NamedCurve): FrameTable | undefined {
  const compiled = compileCurve(path.curve);
  return compiled.ok
    ? buildFrameTable(buildArcTable(compiled.value), { rule: 'upright', up: [0, 1, 0] }, { tolerance: CHORDS })
    : undefined;
}

export function writeSvgPlan(path: NamedCurve): NamedBytes | undefined {
  const compiled = compileCurve(path.curve);
  if (!compiled.ok) return undefined;
  const { closed } = compiled.value;
  const points = fitHandles(compiled.value, buildArcTable(compiled.value).length * FIT_SHARE);
  const place = ([x, , z]: readonly number[]) => `${short(x)} ${short(z)}`;
  const legs = (closed ? [...points, points[0]] : points).slice(1).map((to, i) => {
    const from = points[i];
    const c1 = add(from.position, from.handleOut ?? [0, 0, 0]);
    const c2 = add(to.position, to.handleIn ?? [0, 0, 0]);
    return `C${place(c1)} ${place(c2)} ${place(to.position)}`;
  });
  const xs = points.map(({ position }) => position[0]);
  const zs = points.map(({ position }) => position[2]);
  const [x0, z0] = [Math.min(...xs), Math.min(...zs)];
  const [w, h] = [Math.max(...xs) - x0, Math.max(...zs) - z0];
  const margin = Math.max(w, h, 1e-3) * 0.05;
  const box = [x0 - margin, z0 - margin, w + 2 * margin, h + 2 * margin].map(short);
  const cm = (metres: number) => `${short((metres + 2 * margin) * 100)}cm`;
  const data = `M${place(points[0].position)}${legs.join('')}${closed ? 'Z' : ''}`;
  return fileOf(
    path,
    'svg',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.join(' ')}" width="${cm(w)}" height="${cm(h)}">` +
      `<path d="${data}" fill="none" stroke="#000" stroke-width="${short(margin / 20)}"/></svg>\n`,
  );
}

export function writeCsvStations(path: NamedCurve): NamedBytes | undefined {
  const table = tableOf(path);
  if (!table) return undefined;
  const frame = new Float64Array(FRAME_STRIDE);
  const rows = Array.from({ length: STATIONS + 1 }, (_, i) => {
    const station = (table.length * i) / STATIONS;
    fillFrame(frame, 0, table, station);
    const curvature = Math.hypot(frame[CURVATURE], frame[CURVATURE + 1], frame[CURVATURE + 2]);
    const [x, y, z, fx, fy, fz] = frame;
    return [station, x, y, z, fx, fy, fz].map((v) => short(v)).concat(curvature > 1e-9 ? short(1 / curvature) : '');
  });
  const fields = ['station', 'x', 'y', 'z', 'forward x', 'forward y', 'forward z', 'radius'];
  return fileOf(path, 'csv', `${Papa.unparse({ fields, data: rows })}\n`);
}

export function writeObjLine(path: NamedCurve): NamedBytes | undefined {
  const table = tableOf(path);
  if (!table) return undefined;
  const { frames, stations, closed, length } = table;
  const places = Array.from(stations).flatMap((station, i) => {
    const at = i * FRAME_STRIDE;
    const isThere = (i > 0 && station === stations[i - 1]) || (closed && station === length);
    return isThere ? [] : [`v ${short(frames[at])} ${short(frames[at + 1])} ${short(frames[at + 2])}`];
  });
  const order = places.map((_, i) => i + 1);
  return fileOf(
    path,
    'obj',
    `o ${path.name}\n${places.join('\n')}\nl ${[...order, ...(closed ? [1] : [])].join(' ')}\n`,
  );
}
