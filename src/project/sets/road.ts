import { FINISH_DEFAULTS } from '../defaults';
import { courseOfSet, defineSet, madeSegment } from './run-set';

/** A kerbed road with a dashed line in its middle and posts along both sides. */
export const road = defineSet({
  kind: 'road',
  label: 'Road with kerb and posts',
  hint: 'Two lanes between kerbs, a dashed middle line, posts on both sides',
  parts(id) {
    const [lane, line, post] = [id('road'), id('line'), id('post')];
    const asphalt = {
      part: 'Carriageway',
      ...FINISH_DEFAULTS,
      colour: '#8f9295',
      texture: { from: 'pattern', pattern: 'asphalt', seed: 1, contrast: 0.55 },
      repeat: 1.6,
      fit: 'onward',
    } as const;
    const paint = { part: 'Board', ...FINISH_DEFAULTS, colour: '#ece7da', roughness: 0.7 };
    const posts = (name: string, course: string, side: number) =>
      courseOfSet(
        course,
        post,
        { kind: 'fillGaps', gap: 7.9 },
        {
          name,
          side,
          fit: { kind: 'stiff', stands: 'plumb' },
          laying: { margins: { first: 2, last: 2, head: 0, tail: 0 } },
        },
      );
    return {
      segments: [
        madeSegment(lane, 'kerbedLane', { centreLine: false }, { name: 'Kerbed road', finishes: [asphalt] }),
        madeSegment(line, 'plank', { length: 3, width: 0.12, thickness: 0.004 }, { name: 'Line', finishes: [paint] }),
        madeSegment(post, 'post', { height: 0.9, size: 0.11, thickness: 0.11, below: 0.4 }, { name: 'Road post' }),
      ],
      courses: [
        courseOfSet('road', lane, { kind: 'fillStretch', gap: 0 }, { name: 'Road' }),
        courseOfSet(
          'line',
          line,
          { kind: 'dashes', on: 3, off: 4.5, first: 'halfGap' },
          { name: 'Middle line', height: 0.006 },
        ),
        posts('Posts, left', 'posts-left', -3.95),
        posts('Posts, right', 'posts-right', 3.95),
      ],
    };
  },
});
