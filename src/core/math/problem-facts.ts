/** What is told beside each problem, by its code: metres, counts, words. Whatever can go wrong anywhere is listed here, and has its words in `engine/problem-words.ts`. */
export interface ProblemFacts {
  // Paths
  'curve.no-length': Nothing;
  'curve.too-few-points': { needed: number; given: number };
  'belt.misses': { wheel: number };
  'belt.overlap': { first: number; second: number };
  'points.none': Nothing;
  'points.not-numbers': { line: number; text: string };
  'points.too-many': Nothing;
  'winding.none': Nothing;
  // Guides
  'guide.missed': { height: number };
  'guide.not-cleared': Nothing;
  'guide.unknown': Nothing;
  // Segments
  'segment.empty': Nothing;
  'segment.flat': { axis: string };
  'section.too-few-corners': { needed: number; given: number };
  'profile.flat': { long: number; wide: number };
  'rope.too-narrow': { helixRadius: number; needed: number };
  'rope.too-steep': { layLength: number; needed: number };
  'bundle.too-tight': { turns: number; needed: number };
  'turned.wall': { wall: number; radius: number };
  'link.too-wide': { pitch: number; width: number };
  'bucket.thick': { plate: number };
  // Laying, bending, baking
  'laying.link-too-long': { pitch: number; station: number };
  'laying.no-loop': Nothing;
  'laying.no-reach': { from: number; to: number };
  'laying.no-room': { needed: number; reach: number };
  'laying.no-rise': { rise: number };
  'laying.no-segment': { body: number; bodies: number };
  'laying.none': Nothing;
  'laying.pitch': { gap: number; natural: number };
  'laying.short-leg': { station: number; leg: number; needed: number };
  'laying.straight-up': Nothing;
  'laying.too-many': { pieces: number; most: number };
  'strewn.no-surface': Nothing;
  'strewn.too-many': { pieces: number; most: number };
  'run.too-large': { vertices: number; most: number };
  'crossings.too-many': { triangles: number; most: number };
  'run.unheld': Nothing;
  'run.unknown': { id: string; known?: string };
  'report.too-many-frames': { frames: number; most: number };
  'bake.busy': { seconds: number };
  'bake.empty': { runs: number };
  'bake.not-a-number': Nothing;
  'bake.too-large': Nothing;
  'moving.too-long': { pieces: number; frames: number };
  'moving.remade': Nothing;
  'moving.pieces': Nothing;
  'bake.too-many-vertices': { vertices: number; most: number };
  'format.coarse-far': { format: string; far: number; off: number };
  'format.unknown': { extension: string };
  'time.limit': { seconds: number };
  // Meshes and images
  'asset.missing': { id: string };
  'file.empty': { file: string };
  'file.long-line': { file: string; line: number };
  'file.missing-beside': { file: string; missing: string };
  'file.too-large': { file: string; bytes: number; most: number };
  'file.truncated': { file: string; bytes: number; needed: number };
  'file.unknown-format': { file: string; known: string };
  'file.unreadable': { file: string; reason: string };
  'gltf.broken': { file: string; reason: string };
  'gltf.clamped': { materials: string };
  'gltf.compressed': { file: string; extension: string };
  'gltf.not-triangles': { mesh: string };
  'gltf.version': { file: string; version: number };
  'stl.number': { line: number; text: string };
  'stl.size': { count: number; room: number };
  'ply.counts': { file: string; element: string; count: number; bytes: number };
  'ply.face': { file: string; face: number; corners: number };
  'ply.header': { line: number; text: string };
  'ply.no-places': { file: string; missing: string };
  'obj.face': { line: number; corners: number };
  'obj.index': { line: number; corner: string; vertices: number };
  'obj.no-materials': { file: string; missing: string };
  'obj.number': { line: number; text: string };
  'mesh.empty': Nothing;
  'mesh.index-out-of-range': { index: number; vertices: number };
  'mesh.not-a-number': { vertex: number };
  'mesh.too-large': { triangles: number; most: number };
  'image.damaged': { name: string };
  'image.too-large': { file: string; bytes: number; most: number };
  'image.unknown': { file: string };
  // Files of paths
  'paths.gone': Nothing;
  'paths.none': { file: string };
  'paths.too-far': Nothing;
  'paths.too-many': { count: number };
  'paths.too-many-points': { file: string; most: number };
  'paths.unknown-format': { file: string; known: string };
  'svg.broken': { file: string; reason: string };
  'svg.path': { text: string };
  'csv.ambiguous': { line: number; text: string };
  'csv.columns': { file: string; names: string };
  'csv.number': { line: number; text: string };
  'geojson.broken': { file: string; reason: string };
  'geojson.position': { name: string; text: string };
  'dxf.broken': { file: string; reason: string };
  'dxf.left-out': { kinds: string };
  // Projects and where they are kept
  'project.absent': Nothing;
  'project.asset-differs': { user: string };
  'project.asset-missing': { user: string };
  'project.foreign': Nothing;
  'project.gone': Nothing;
  'project.invalid': { reason: string };
  'project.newer': { version: number; known: number };
  'project.not-json': { reason: string };
  'project.too-large': { bytes: number; most: number };
  'project.unkept': { where: string; reason: string };
  'storage.failed': { reason: string };
  'storage.full': { reason: string };
  'storage.newer': { reason: string };
  'storage.none': { reason: string };
  'storage.refused': { reason: string };
  // The server and the worker
  'body.broken': Nothing;
  'body.too-large': { most: number };
  'request.foreign': Nothing;
  'request.type': Nothing;
  'query.invalid': { key: string; reason: string };
  'worker.crashed': Nothing;
}

type Nothing = Record<never, never>;
