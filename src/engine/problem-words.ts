import { letterOf } from '../core/layout/pattern';
import { MAX_PATH_POINTS } from '../core/curve/path-spec';
import type { ProblemFacts } from '../core/math/problem-facts';
import type { Problem, ProblemCode, ProblemPath } from '../core/math/result';

const count = (n: number): string => n.toLocaleString('en');
const metresText = (m: number): string => `${Number(m.toPrecision(4))} m`;
const megabytes = (bytes: number): string => `${Math.round(bytes / 1048576)} MB`;

/** What is wrong, where, and what to do, for every problem code. */
const WORDS: { readonly [C in ProblemCode]: (facts: ProblemFacts[C], path: ProblemPath) => string } = {
  'curve.too-few-points': (f) =>
    `The path needs ${f.needed} points at different places and has ${f.given}. Draw more with the pen.`,
  'curve.no-length': () => 'The path has no length: its radii or turns are nothing. Change the path’s numbers.',
  'belt.overlap': (f) =>
    `Wheels ${f.first} and ${f.second} overlap, so no belt fits round both. Move them apart or make them smaller.`,
  'belt.misses': (f) =>
    `The belt does not touch wheel ${f.wheel} from its side. Move it, or let it press from the other side.`,
  'guide.missed': (f) =>
    `At a height of ${metresText(f.height)} there is nothing of the guide to wind about. Begin higher, or rise less.`,
  'guide.unknown': () => 'The guide is no longer there. Choose another one.',
  'guide.not-cleared': () =>
    'The path could not be pushed out of the guide by itself. Move its points, or turn it into a path with points of its own.',
  'points.not-numbers': (f) =>
    `Line ${f.line} holds no three numbers: “${f.text}”. Give x, y and z in metres on every line.`,
  'points.too-many': () =>
    `A path has ${count(MAX_PATH_POINTS)} points at most, all within 1,000 km of the origin. Paste fewer, or bring them as a CSV file, which is thinned out.`,
  'points.none': () => 'There are no points to paste. Copy lines of x, y and z in metres.',
  'paths.none': (f) =>
    `${f.file} holds no line with a length. Choose a file with lines, curves or at least two points.`,
  'paths.gone': () => 'The file was put away in the meantime. Choose it again.',
  'paths.too-many': (f) =>
    `This line has ${count(f.count)} points; a path has ${count(MAX_PATH_POINTS)} at most. Simplify it, or save it in straight legs, which are thinned out.`,
  'paths.too-many-points': (f) =>
    `${f.file} holds more than ${count(f.most)} points. Leave out what is not needed, or thin it out where it was made.`,
  'paths.too-far': () =>
    'This line goes farther than 1,000 km from the origin. Let it begin at the origin, or choose a smaller unit.',
  'paths.unknown-format': (f) =>
    `${f.file} is no file of paths that Rattan reads (${f.known}). Save it as SVG, DXF or CSV.`,
  'svg.broken': (f) => `${f.file} cannot be read as SVG: ${f.reason}. Save it again from the program it came from.`,
  'svg.path': (f) => `A path of the SVG has data that make no sense: “${f.text}”. Save it again.`,
  'csv.columns': (f) =>
    `No columns for x and y are told apart among ${f.names}. Name them x, y and z (or easting, northing, height) in the first line.`,
  'csv.number': (f) => `Line ${count(f.line)} of the table holds no number where one belongs: “${f.text}”. Correct it.`,
  'csv.ambiguous': (f) =>
    `Line ${count(f.line)} of the table holds “${f.text}”, which may mean thousands or decimals. Write it with a point, or without commas.`,
  'geojson.broken': (f) => `${f.file} cannot be read as GeoJSON: ${f.reason}.`,
  'geojson.position': (f) =>
    `${f.name} has a place that is no longitude and latitude in degrees: ${f.text}. Save it in WGS 84.`,
  'dxf.broken': (f) => `${f.file} cannot be read as DXF: ${f.reason}. Save it again as ASCII DXF.`,
  'dxf.left-out': (f) => `Left out, because they are no lines, or their numbers do not fit together: ${f.kinds}.`,
  'winding.none': () => 'A winding needs some turns. Set Turns to a number other than 0.',
  'segment.empty': () => 'The segment has no triangles. Choose another mesh.',
  'segment.flat': (f) => `The segment has no length along ${f.axis}. Choose another forward direction for it.`,
  'section.too-few-corners': (f) =>
    `The cross-section needs ${f.needed} corners at different places and has ${f.given}. Move or add corners.`,
  'profile.flat': () => 'The profile has no length or no thickness. Move its corners apart.',
  'rope.too-steep': (f) =>
    `Strands this thick do not fit into a lay length of ${metresText(f.layLength)}: it must be more than ${metresText(f.needed)}. Lengthen the lay, or take thinner or fewer strands.`,
  'rope.too-narrow': (f) =>
    `A helix radius of ${metresText(f.helixRadius)} is too small for these strands: ${metresText(f.needed)} is the least. Widen it, or take thinner strands.`,
  'bundle.too-tight': (f) =>
    `${f.turns} turns are too many for cords this thick on this length; some ${f.needed} fit. Take fewer turns or a longer piece.`,
  'turned.wall': (f) =>
    `A wall of ${metresText(f.wall)} does not fit into a radius of ${metresText(f.radius)}. Make it thinner, or 0 for closed ends.`,
  'link.too-wide': (f) =>
    `The link is ${metresText(f.width)} wide inside and only ${metresText(f.pitch)} long. Make it longer or narrower.`,
  'bucket.thick': (f) =>
    `A plate of ${metresText(f.plate)} is too thick for a bucket of this size. Take an eighth of its least side at most.`,
  'laying.no-reach': () => 'The reach is empty: its end is not after its start. Change where it begins or ends.',
  'laying.no-room': (f) =>
    `Margins, head and tail need ${metresText(f.needed)}, and the reach has ${metresText(f.reach)}. Shorten them, or lengthen the reach.`,
  'laying.no-loop': () => 'These links go round no loop. Close the path, and lay them pin to pin.',
  'laying.no-rise': () =>
    'The reach is level, so there is no rise to share. Raise an end of the path, or choose another rule.',
  'laying.no-segment': (f) =>
    `The pattern asks for segment ${letterOf(f.body)}, and the course has ${f.bodies === 1 ? 'only A' : `A to ${letterOf(f.bodies - 1)}`}. Add a segment, or change the pattern.`,
  'laying.none': () =>
    'The rule finds no place on the reach, so nothing is laid. Give it stations within the reach, or choose another rule.',
  'laying.short-leg': (f) =>
    `Between two joints of the path, at station ${metresText(f.station)}, there are ${metresText(f.leg)}, and what stands there needs ${metresText(f.needed)}. Take a shorter piece or less room, or move the points apart.`,
  'laying.straight-up': () =>
    'The reach goes straight up, so that pieces that stand plumb have no room on it. Choose another fit under Pieces are.',
  'laying.link-too-long': (f) =>
    `At station ${metresText(f.station)} the path bends too tightly for links of ${metresText(f.pitch)}. Take shorter links, or widen the bend.`,
  'laying.too-many': (f) =>
    `This would lay ${count(f.pieces)} pieces; ${count(f.most)} is the most. Use a longer segment or a wider gap.`,
  'laying.pitch': (f) =>
    `A gap of ${f.gap} m takes up a whole piece of ${f.natural.toFixed(3)} m. Use a smaller overlap.`,
  'crossings.too-many': (f) =>
    `Nobody looks where runs pass through each other: they have ${count(f.triangles)} triangles, of ${count(f.most)} at the most. Hide some runs.`,
  'run.too-large': (f) =>
    `The run would have ${count(f.vertices)} vertices; ${count(f.most)} is the most. Use a lighter segment or a coarser tolerance.`,
  'strewn.no-surface': () =>
    'There is no other course over which this one could be strewn. Add one, or choose another fit.',
  'strewn.too-many': (f) =>
    `More than ${count(f.most)} pieces would lie there, which is the most. Take fewer a square metre, or farther apart.`,
  'image.not-png': () => 'What says where a coat lies has to be a PNG file. Save the image as PNG, and bring it again.',
  'run.unknown': (f) => `There is no run called ${f.id}.${f.known ? ` The runs are: ${f.known}.` : ''}`,
  'run.unheld': () => 'The run has to be worked out anew. Change anything of it, or load the page again.',
  'report.too-many-frames': (f) =>
    `A report with ${count(f.frames)} frames is too long; ${count(f.most)} is the most. Ask for fewer, or for one run.`,
  'bake.empty': () =>
    'There is nothing to write: no run is shown, or none has grown yet at this time. Show a run or choose a later time.',
  'bake.not-a-number': () =>
    'Its geometry has places that are no numbers, so that no file was written. Look at its findings, or at points of its path that lie on each other.',
  'format.coarse-far': (f) =>
    `${f.format} holds places to ${metresText(f.off)} only, ${metresText(f.far)} from the origin. Take GLB or OBJ, or move the project nearer.`,
  'format.unknown': (f) => `Files ending in .${f.extension} cannot be written. Use .glb, .obj or .stl.`,
  'asset.missing': (f) => `The mesh ${f.id.slice(0, 8)} is not here. Bring its file again.`,
  'file.empty': (f) => `${f.file || 'The file'} is empty. Choose another file.`,
  'file.too-large': (f) => `${f.file} has ${megabytes(f.bytes)}; ${megabytes(f.most)} is the most. Thin it out first.`,
  'file.unknown-format': (f) => `${f.file} is not a mesh file that Rattan reads (${f.known}). Save it as GLB or OBJ.`,
  'file.truncated': (f) =>
    `${f.file} is cut off: it says it has ${count(f.needed)} bytes, ${count(f.bytes)} are there. Copy or save it again.`,
  'file.missing-beside': (f) => `${f.file} needs ${f.missing}. Choose both files together, or save as GLB.`,
  'gltf.version': (f) => `${f.file} is glTF version ${f.version}; Rattan reads version 2. Save it again as glTF 2.0.`,
  'gltf.compressed': (f) =>
    `${f.file} is packed with ${f.extension}, which Rattan does not unpack. Save it without compression.`,
  'gltf.broken': (f) => `${f.file} cannot be read: ${f.reason}. Save it again from the program it came from.`,
  'gltf.not-triangles': (f) => `${f.mesh || 'A mesh'} has lines or points; they were left out.`,
  'gltf.clamped': (f) => `Colours or roughness outside 0 to 1 were brought back into it: ${f.materials}.`,
  'file.unreadable': (f) => `${f.file} could not be read: ${f.reason}. Save it again from the program it came from.`,
  'file.long-line': (f) => `Line ${count(f.line)} of ${f.file} is too long to be one of this format. Save it again.`,
  'stl.size': (f) =>
    `The STL says that it holds ${count(f.count)} triangles and has room for ${count(f.room)}; only those it says were read.`,
  'ply.no-places': (f) => `The vertices of ${f.file} have no ${f.missing}. Save it again with x, y and z.`,
  'image.damaged': (f) => `The image ${f.name} is damaged and was left out. Save it again.`,
  'mesh.empty': () => 'The file has no triangles. Choose a file with a mesh in it.',
  'mesh.too-large': (f) => `The mesh has more than ${count(f.most)} triangles. Thin it out first.`,
  'mesh.not-a-number': (f) =>
    `Vertex ${count(f.vertex)} has a coordinate that is not a number. Repair the file where it was made.`,
  'mesh.index-out-of-range': (f) =>
    `A triangle names vertex ${count(f.index)}, and there are only ${count(f.vertices)}. Save the file again.`,
  'ply.header': (f) => `The header of the PLY is broken in line ${count(f.line)}: “${f.text}”. Save the file again.`,
  'ply.counts': (f) =>
    `${f.file} says that it holds ${count(f.count)} ${f.element} entries, far more than its ${count(f.bytes)} bytes can. Save the file again.`,
  'ply.face': (f) => `Face ${count(f.face)} of ${f.file} has ${count(f.corners)} corners; it needs at least 3.`,
  'stl.number': (f) => `Line ${count(f.line)} of the STL has a coordinate that is not a number: “${f.text}”.`,
  'obj.number': (f) => `Line ${count(f.line)} has a coordinate that is not a number: “${f.text}”.`,
  'obj.face': (f) => `The face in line ${count(f.line)} has ${f.corners} corners; it needs at least 3.`,
  'obj.index': (f) =>
    `The face in line ${count(f.line)} names ${f.corner}, which is not there (${count(f.vertices)} vertices so far).`,
  'obj.no-materials': (f) => `${f.missing} was not given, so the materials are plain. Choose it together with the OBJ.`,
  'image.unknown': (f) => `${f.file} is not an image that Rattan reads. Save it as PNG, JPEG or WebP.`,
  'image.too-large': (f) => `${f.file} has ${megabytes(f.bytes)}; ${megabytes(f.most)} is the most. Make it smaller.`,
  'project.too-large': (f) => `The project file has ${megabytes(f.bytes)}; ${megabytes(f.most)} is the most.`,
  'project.not-json': (f) => `This file is damaged: ${f.reason}. Use an earlier copy.`,
  'project.foreign': () => 'This is not a Rattan project file. Open a file that Rattan wrote.',
  'project.newer': (f) =>
    `This project was saved by a newer Rattan (file version ${f.version}; this one knows ${f.known}). Update Rattan.`,
  'project.invalid': (f, path) =>
    `The value at ${path.join('.') || 'the top'} is wrong: ${f.reason}. Correct it in the file, or use an earlier copy.`,
  'project.asset-missing': (f) =>
    `A mesh or image of ${f.user} is missing from the file, and was left out. Bring it again, or use a complete copy.`,
  'project.asset-differs': (f) =>
    `A mesh or image of ${f.user} is not the one that was saved, and was left out. Bring it again, or use a sound copy.`,
  'time.limit': (f) =>
    `The bake took longer than ${f.seconds} s and was stopped. Bake fewer runs, or use the command line.`,
  'body.too-large': (f) =>
    `The body is larger than ${megabytes(f.most)}. Use the command line for a project of this size.`,
  'bake.busy': (f) => `Too many bakes are under way. Ask again in ${f.seconds} s, or use the command line.`,
  'bake.too-many-vertices': (f) =>
    `The bake would have ${count(f.vertices)} vertices; ${count(f.most)} is the most here. Bake fewer runs, or use the command line.`,
  'moving.too-long': (f) =>
    `${count(f.pieces)} pieces in ${count(f.frames)} frames are more than one file can hold. Export fewer frames, or the run as a sequence.`,
  'moving.remade': () =>
    'Its segments have keys. A GLB that moves holds them as they are in the end; export a sequence to have them change.',
  'moving.pieces': () =>
    'It has pieces on the way that are not there in the end, and a GLB that moves leaves them out. Export a sequence to have them.',
  'moving.wheels': (f) =>
    `Its wheels without teeth end ${((f.angle * 180) / Math.PI).toFixed(1)}° from where they began. Round ones look the same when it is played on and on; spokes would jump.`,
  'bake.too-large': () =>
    'The bake needs more memory than the server gives to one. Bake fewer runs, or use the command line.',
  'body.broken': () => 'The upload ended before it was complete. Send it again.',
  'request.foreign': () =>
    'This server bakes for its own pages and for programs on this machine only. Call it as localhost, or name its host in RATTAN_HOSTS.',
  'request.type': () => 'The body must be a project file, sent with content-type: application/json.',
  'query.invalid': (f) => `The query value ${f.key} is wrong: ${f.reason}.`,
  'worker.crashed': () => 'The computation stopped unexpectedly and was started again. Nothing is lost; try once more.',
  'project.unkept': (f) =>
    `Not saved: ${f.where} is beyond what a project can hold (${f.reason}). Undo the last change.`,
  'project.absent': () => 'There is no project in it: it was damaged where it is kept. Open a file of it.',
  'project.gone': () => 'This project is no longer on the shelf. Open another one, or a file of it.',
  'storage.failed': (f) =>
    `The browser could not keep it: ${f.reason}. Download the project under Projects to be safe.`,
  'storage.full': () =>
    'The browser has no room left for it. Delete projects that are not needed, or download this one under Projects.',
  'storage.newer': () =>
    'A newer Rattan has been used in this browser, and its data cannot be read by this one. Load the page again; download what is open under Projects first.',
  'storage.refused': () =>
    'The browser does not let Rattan keep anything (a private window, or storage is turned off). Download the project under Projects before you close the tab.',
  'storage.none': () =>
    'This browser has no database, so nothing is kept. Download the project under Projects before you close the tab.',
};

/** A problem in words for people. */
export function problemWords({ code, path, facts }: Problem): string {
  const words = WORDS[code] as (facts: Problem['facts'], path: ProblemPath) => string; // a code goes with its own facts
  const text = words(facts, path);
  return facts.run && code !== 'run.unknown' ? `${facts.run}: ${text}` : text;
}
