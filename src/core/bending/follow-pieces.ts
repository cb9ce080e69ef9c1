import type { CoursePlan, PosedPiece } from '../motion/pose-course';

/** Which copies of the pieces of a finished course are there, and which parts of them. Copies come behind each other: piece by piece, each with its own. */
export class PieceFollower {
  readonly #pieces: readonly PosedPiece[];
  readonly #copies: number;
  readonly #far: number;
  /** Station at which each copy lay when it was last there, and whether it was there the last time. */
  readonly #stations: Float64Array;
  readonly #wasThere: Uint8Array;

  /** `copies` = of each piece: two where one may be coming in while it is still going out. From one moment to the next none goes `far` metres. */
  constructor(pieces: readonly PosedPiece[], copies: number, far: number) {
    this.#pieces = pieces;
    this.#copies = copies;
    this.#far = far;
    this.#stations = new Float64Array(pieces.length * copies).fill(NaN);
    this.#wasThere = new Uint8Array(pieces.length * copies);
  }

  /** What is there at the next moment; none for a copy that is not. */
  next(plan: CoursePlan): readonly (readonly PosedPiece[])[] {
    const byPiece = new Map<number, PosedPiece[]>();
    for (const posed of plan.pieces) {
      const own = byPiece.get(posed.laid.placement.piece);
      if (own) own.push(posed);
      else byPiece.set(posed.laid.placement.piece, [posed]);
    }
    return this.#pieces.flatMap((piece, i) => this.#share(i, grouped(byPiece.get(piece.laid.placement.piece) ?? [])));
  }

  /** Each time that a piece is there belongs to the copy that came from nearby, or to one that was not there. */
  #share(i: number, groups: readonly (readonly PosedPiece[])[]): readonly (readonly PosedPiece[])[] {
    const first = i * this.#copies;
    const copies = Array.from({ length: this.#copies }, (_, c) => first + c);
    const out = copies.map((): readonly PosedPiece[] => []);
    const free = new Set(copies);
    for (const group of groups.slice(0, this.#copies)) {
      const { station } = group[0].place;
      const away = (copy: number) =>
        this.#wasThere[copy] === 1 ? Math.abs(this.#stations[copy] - station) : this.#far;
      const [copy] = [...free].toSorted((a, b) => away(a) - away(b));
      free.delete(copy);
      out[copy - first] = group;
      this.#stations[copy] = station;
    }
    for (const copy of copies) this.#wasThere[copy] = out[copy - first].length > 0 ? 1 : 0;
    return out;
  }
}

/** Parts of one piece that are there at once: a new group begins where the piece begins again. */
function grouped(parts: readonly PosedPiece[]): readonly (readonly PosedPiece[])[] {
  const groups: PosedPiece[][] = [];
  let end = Infinity;
  for (const part of parts) {
    const { min, max } = part.form.box;
    if (min[0] < end - (max[0] - min[0]) * 1e-6) groups.push([]);
    groups.at(-1)!.push(part);
    [end] = max;
  }
  return groups;
}
