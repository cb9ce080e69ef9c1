import { maker, type MakerName } from '../../core/segment/registry';
import { addables, type Addable } from '../../project/addables';

export interface Dressable {
  readonly kind: MakerName;
  readonly item: Addable;
  /** At stations; otherwise strewn. */
  readonly isFixing: boolean;
}

/** All that is made to dress a run. */
export const dressables = (): readonly Dressable[] =>
  addables([], '').flatMap((item) => {
    const kind = 'maker' in item.of ? item.of.maker : undefined;
    const by = kind && maker(kind).dresses?.by;
    return kind && by ? [{ kind, item, isFixing: 'stations' in by }] : [];
  });
