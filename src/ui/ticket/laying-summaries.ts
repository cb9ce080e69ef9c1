import { patternOf } from '../../core/layout/pattern-registry';
import type { Course } from '../../project/schema';
import { degrees, metres, percentText } from '../format';

const listed = (parts: readonly (string | false)[], none: string): string => {
  const said = parts.filter((part) => part !== false);
  return said.length > 0 ? said.join(', ') : none;
};

/** What of a course's laying is set beside its rule, a line for each group of fields. */
export function layingSummaries({ laying, align, side, height, mirrored, head, tail, joint }: Course) {
  const { margins, pattern, everyOther, joints, variation } = laying;
  const { every, turn } = everyOther;
  return {
    places: listed(
      [
        margins.first !== 0 && `${metres(margins.first)} free at the start`,
        margins.last !== 0 && `${metres(margins.last)} at the end`,
        (head ?? tail) !== undefined && 'ends of their own',
        joints.at !== 'none' && `parted at ${joints.at}${joint === undefined ? '' : ', a piece there'}`,
      ],
      'none',
    ),
    pattern: listed(
      [
        pattern.kind === 'sequence' ? pattern.order : pattern.kind !== 'same' && patternOf(pattern).label,
        every > 0 &&
          `${every === 2 ? 'every other' : `one in ${every}`} ${turn === 0 ? 'mirrored' : `turned ${degrees(turn)}`}`,
      ],
      'all the same',
    ),
    position: listed(
      [
        (align.side !== 'own' || align.height !== 'own') && 'aligned',
        side !== 0 && `${metres(Math.abs(side))} to the ${side > 0 ? 'right' : 'left'}`,
        height !== 0 && `${metres(Math.abs(height))} ${height > 0 ? 'above' : 'below'}`,
        mirrored && 'mirrored',
      ],
      'on the path',
    ),
    variation: listed(
      [
        variation.tint > 0 && `brightness ${percentText(variation.tint * 100)}`,
        variation.shift > 0 && 'shifted textures',
      ],
      'none',
    ),
  };
}
