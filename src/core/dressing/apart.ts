import type { Vec3 } from '../math/vec3';

/** Takes places, metres, as long as they are so far from all that were taken before: looked up in cells as wide as that. */
export class Apart {
  readonly #least: number;
  readonly #cells = new Map<string, Vec3[]>();

  constructor(least: number) {
    this.#least = least;
  }

  takes(place: Vec3): boolean {
    const least = this.#least;
    if (least <= 0) return true;
    const cell = place.map((c) => Math.floor(c / least));
    for (const x of NEAR)
      for (const y of NEAR)
        for (const z of NEAR)
          for (const other of this.#cells.get(`${cell[0] + x} ${cell[1] + y} ${cell[2] + z}`) ?? [])
            if (Math.hypot(place[0] - other[0], place[1] - other[1], place[2] - other[2]) < least) return false;
    const key = cell.join(' ');
    const own = this.#cells.get(key);
    if (own) own.push(place);
    else this.#cells.set(key, [place]);
    return true;
  }
}

const NEAR = [-1, 0, 1];
