import type { Accessor, Animation, Buffer, Document, Mesh, Node, Primitive } from '@gltf-transform/core';
import { comesAtOnce, POSE_STRIDE, type JointTrack } from '../core/bending/joint-poses';
import type { Moves } from './moves';

type MovesBy<By extends Moves['by']> = Extract<Moves, { by: By }>;

/** What is written of how things move: one animation, so that plain players play all of it. */
export class MovesWriter {
  readonly #document: Document;
  readonly #buffer: Buffer;
  readonly #times = new Map<Float32Array, Accessor>();
  #animation: Animation | undefined;

  constructor(document: Document, buffer: Buffer) {
    this.#document = document;
    this.#buffer = buffer;
  }

  /** What a primitive's vertices need, `from` = which of the mesh's vertices they are. */
  vertices(primitive: Primitive, moves: Moves | undefined, from: Uint32Array): void {
    if (moves?.by === 'joints') {
      primitive.setAttribute('JOINTS_0', this.#accessor('VEC4', gathered(moves.joints, 4, from, Uint16Array)));
      primitive.setAttribute('WEIGHTS_0', this.#accessor('VEC4', gathered(moves.weights, 4, from, Float32Array)));
    }
    if (moves?.by !== 'shapes') return;
    for (const { positions, normals } of moves.shapes)
      primitive.addTarget(
        this.#document
          .createPrimitiveTarget()
          .setAttribute('POSITION', this.#accessor('VEC3', gathered(positions, 3, from, Float32Array)))
          .setAttribute('NORMAL', this.#accessor('VEC3', gathered(normals, 3, from, Float32Array))),
      );
  }

  /** Lets the nodes of a mesh's places move. */
  carry(places: readonly Node[], { tracks, times }: MovesBy<'places'>): void {
    tracks.forEach((track, i) => this.#move(places[i], track, times));
  }

  /** Hangs a mesh on joints below a node; gives the node of the mesh, which belongs beside that, for it lies where its joints say (glTF 2.0, section 3.7.3.3). */
  hang(node: Node, mesh: Mesh, name: string, moves: MovesBy<'joints'>): Node {
    const skin = this.#document.createSkin(name);
    moves.tracks.forEach((track, i) => {
      const joint = this.#document.createNode(`${name}, joint ${i + 1}`);
      node.addChild(joint);
      skin.addJoint(joint);
      this.#move(joint, track, moves.times);
    });
    const binds = new Float32Array(moves.binds.length * 16);
    moves.binds.forEach((bind, i) => binds.set(bind, i * 16));
    skin.setInverseBindMatrices(this.#accessor('MAT4', binds));
    return this.#document.createNode(name).setMesh(mesh).setSkin(skin);
  }

  /** Targets come one after the other, each whole at its own time. */
  blend(node: Node, mesh: Mesh, { times, shapes }: MovesBy<'shapes'>): void {
    mesh.setWeights(shapes.map((_, i) => (i === shapes.length - 1 ? 1 : 0)));
    const weights = new Float32Array(shapes.length ** 2);
    shapes.forEach((_, i) => (weights[i * shapes.length + i] = 1));
    this.#channel(node, 'weights', times, weights, 'SCALAR');
  }

  /** Where it stands first, and channels of what of that changes. */
  #move(node: Node, track: JointTrack, times: Float32Array): void {
    const part = (first: number, size: number) =>
      Float32Array.from({ length: times.length * size }, (_, i) => track[Math.floor(i / size) * POSE_STRIDE + first + (i % size)]); // prettier-ignore
    const [place, turn, scale] = [part(0, 3), part(3, 4), part(7, 3)];
    node
      .setTranslation([place[0], place[1], place[2]])
      .setRotation([turn[0], turn[1], turn[2], turn[3]])
      .setScale([scale[0], scale[1], scale[2]]);
    if (changes(place, 3)) this.#channel(node, 'translation', times, place, 'VEC3');
    if (changes(turn, 4)) this.#channel(node, 'rotation', times, turn, 'VEC4');
    if (changes(scale, 3)) this.#channel(node, 'scale', times, scale, 'VEC3', comesAtOnce(track) ? 'STEP' : 'LINEAR');
  }

  #channel(
    node: Node,
    path: 'translation' | 'rotation' | 'scale' | 'weights',
    times: Float32Array,
    values: Float32Array,
    type: 'VEC3' | 'VEC4' | 'SCALAR',
    how: 'STEP' | 'LINEAR' = 'LINEAR',
  ): void {
    this.#animation ??= this.#document.createAnimation('Motion');
    const sampler = this.#document
      .createAnimationSampler()
      .setInput(this.#timesOf(times))
      .setOutput(this.#accessor(type, values))
      .setInterpolation(how);
    const channel = this.#document.createAnimationChannel().setTargetNode(node).setTargetPath(path).setSampler(sampler);
    this.#animation.addSampler(sampler).addChannel(channel);
  }

  #timesOf(times: Float32Array): Accessor {
    const known = this.#times.get(times) ?? this.#accessor('SCALAR', times);
    this.#times.set(times, known);
    return known;
  }

  #accessor(type: 'SCALAR' | 'VEC3' | 'VEC4' | 'MAT4', array: Float32Array | Uint16Array): Accessor {
    return this.#document.createAccessor().setType(type).setArray(array).setBuffer(this.#buffer);
  }
}

/** Numbers that differ by less, relative to the largest, are one and the same in a 32-bit file. */
const SAME = 1e-7;

const changes = (values: Float32Array, size: number): boolean => {
  const most = values.reduce((all, value) => Math.max(all, Math.abs(value)), 1e-30);
  return values.some((value, i) => Math.abs(value - values[i % size]) > most * SAME);
};

/** Of each of the vertices `from` the numbers that a list has of it. */
function gathered<A extends Float32Array | Uint16Array>(
  of: A,
  size: number,
  from: Uint32Array,
  Made: new (length: number) => A,
): A {
  const out = new Made(from.length * size);
  for (let i = 0; i < from.length; i++) for (let c = 0; c < size; c++) out[i * size + c] = of[from[i] * size + c];
  return out;
}
