import { PMREMGenerator } from 'three';

/** Pixels along a side of the surroundings: large soft lights need no more. */
const SIDE = 64;

/**
 * three's filter of the surrounding light, at a quarter of the size that it takes at the least.
 * NOTES: three's own size took 3 s of the first picture's 4.6 s under software rendering. Should three name this inner
 * method anew, light and picture stay and only the time comes back.
 */
export class SmallPmrem extends PMREMGenerator {
  protected _setSize(): void {
    Object.assign(this, { _cubeSize: SIDE });
  }
}
