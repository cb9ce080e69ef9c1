import '../project/jitless';
import { expose, transfer } from 'comlink';
import { smallPicture } from './small-picture';
import { edgeChains } from '../core/guides/edge-chains';
import { fail, ok, type Result } from '../core/math/result';
import type { BroughtPaths } from '../formats/paths/path-format';
import { readPaths } from '../formats/paths/registry';
import { readMesh } from '../formats/registry';
import { assetIdOf } from '../project/asset-id';
import { loadAsset, saveAsset } from '../project/storage/assets';
import { keptWork } from '../project/storage/worked';
import { storageProblem } from '../project/storage/trouble';
import { bakeFiles } from './bake';
import { bakeMoving } from './bake-moving';
import { bringMesh } from './bring-mesh';
import { placeLines, summaryOf } from './brought-file';
import { choicesOf } from './choices';
import { closingOfCourse } from './closing';
import type { ComputeApi } from './compute-api';
import { CrossingFinder, crossingsOfRuns } from './crossings';
import { holdLife } from './worker-life';
import { Deriver } from './derive';
import type { DerivedCourse, DerivedRun } from './derived';
import { evenTwist } from './even-twist';
import { partsList } from './parts-list';
import { pieceTable } from './piece-table';
import { pushOutOf } from './push-out-of';
import { buildSegmentView } from './segment-view';
import { windRound } from './wind-round';
import { buffersOf } from './facets';
import type { RunSource } from './run-source';
import { RunViewer } from './run-viewer';
import './remote';

const deriver = new Deriver(async (id) => {
  const bytes = await loadAsset(id).catch(storageProblem);
  if (bytes && 'code' in bytes) return { ok: false, problems: [bytes] };
  return bytes ? readMesh([{ name: `${id}.glb`, bytes }]) : fail('asset.missing', { id });
}, loadAsset);
const finder = new CrossingFinder();
const viewer = new RunViewer(deriver, `${crypto.randomUUID()}:`);

/** Chains of a guide's edges that are told of. */
const MOST_CHAINS = 12;
/** The file of paths that was read last. */
let brought: BroughtPaths | undefined;

/** All of some bytes as an address. */
const addressOf = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(reader.error ?? new Error('unread'));
    reader.readAsDataURL(blob);
  });

/** What is worked out of one course of a run. Problems: `run.unknown`, and those of the run. */
async function ofCourse<T>(
  source: RunSource,
  course: string,
  make: (derived: DerivedRun, own: DerivedCourse) => T,
): Promise<Result<T>> {
  const derived = await deriver.derive(source);
  if (!derived.ok) return derived;
  const own = derived.value.courses.find((each) => each.course.id === course);
  return own ? ok(make(derived.value, own)) : fail('run.unknown', { id: course });
}

const api: ComputeApi = {
  async view(ask) {
    const seen = await viewer.view(ask);
    return seen.ok ? transfer(seen, buffersOf(seen.value.changed)) : seen;
  },
  keepOnly: async (runs) => viewer.keepOnly(runs),
  async segment(segment, onProgress) {
    const ready = await deriver.segments.ready(segment, onProgress);
    return ready.ok ? ok(buildSegmentView(ready.value), ready.warnings) : ready;
  },
  async box(segment) {
    const ready = await deriver.segments.ready(segment);
    return ready.ok ? ok(ready.value.prepared.box) : ready;
  },
  async guide(guide) {
    const ready = await deriver.guides.get(guide);
    return ready.ok ? ok(ready.value.mesh, ready.warnings) : ready;
  },
  picture: (project, width, height) => smallPicture(deriver, project, width, height),
  async imageOf({ data, width, height }) {
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.putImageData(new ImageData(data, width, height), 0, 0);
    return addressOf(await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 }));
  },
  surface: (finish) => deriver.segments.surface(finish),
  async edges(guide, sharp) {
    const ready = await deriver.guides.get(guide);
    return ready.ok ? ok((await edgeChains(ready.value.mesh, sharp)).slice(0, MOST_CHAINS)) : ready;
  },
  pushOut: (source, guide, fixed) => pushOutOf(deriver, source, guide, fixed),
  choices: (source, course) => ofCourse(source, course, choicesOf),
  pieces: (source, course) => ofCourse(source, course, (_, own) => pieceTable(own)),
  parts: (project) => partsList(deriver, project),
  closing: (source, course) => closingOfCourse(deriver, source, course),
  crossings: (runs) => crossingsOfRuns(deriver, finder, runs),
  evenTwist: (source) => evenTwist(deriver, source),
  async windRound(guide, winding) {
    const ready = await deriver.guides.get(guide);
    return ready.ok ? windRound(ready.value, guide, winding) : ready;
  },
  async paths(file, onProgress) {
    const read = await readPaths(file, onProgress);
    onProgress(1);
    if (!read.ok) return read;
    brought = read.value;
    return ok(summaryOf(brought), read.warnings);
  },
  placed: async (placing, onProgress) =>
    brought ? ok(placeLines(brought, placing, onProgress)) : fail('paths.gone', {}),
  async bring(files, onProgress) {
    const result = await bringMesh(files, onProgress);
    if (!result.ok) return result;
    const kept = await saveAsset(result.value.brought.asset, result.value.bytes);
    if (!kept.ok) return kept;
    return ok(result.value.brought, result.warnings);
  },
  async bakeMoving(project, name, options, onProgress) {
    const key = await assetIdOf(new TextEncoder().encode(JSON.stringify([project, options])));
    const kept = await keptWork(key).catch(() => undefined); // without storage all is made anew
    const made = await bakeMoving(project, deriver, name, { ...options, kept, onProgress });
    if (made.ok) await kept?.end().catch(() => undefined);
    return made;
  },
  bake: (project, extension, name, options, onProgress) =>
    bakeFiles(project, deriver, extension, name, { ...options, onProgress }),
};

expose(api);

holdLife();
