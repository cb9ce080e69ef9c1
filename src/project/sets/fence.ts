import { courseOfSet, defineSet, madeSegment } from './run-set';

/** Posts at path points, two rails and pickets between them, plumb over uneven ground. */
export const fence = defineSet({
  kind: 'fence',
  label: 'Fence',
  hint: 'Posts at path points, rails and pickets between them, plumb over uneven ground',
  parts(id) {
    const [post, rail, picket] = [id('post'), id('rail'), id('picket')];
    const between = { joints: { at: 'points', angle: Math.PI / 6, clear: 0.06 } } as const;
    const plumb = { kind: 'plumb', beyond: 'onward' } as const;
    const rails = (course: string, name: string, height: number) =>
      courseOfSet(course, rail, { kind: 'fillStretch', gap: 0 }, { name, height, fit: plumb, laying: between });
    return {
      segments: [
        madeSegment(post, 'post', { height: 1.15, size: 0.12, thickness: 0.12, below: 0.4 }, { name: 'Fence post' }),
        madeSegment(
          rail,
          'plank',
          { length: 2, width: 0.035, thickness: 0.09 },
          { name: 'Fence rail', prepare: { centre: 'middle' } },
        ),
        madeSegment(
          picket,
          'post',
          { form: 'picket', height: 0.95, size: 0.08, thickness: 0.018, below: 0 },
          { name: 'Picket' },
        ),
      ],
      courses: [
        courseOfSet(
          'posts',
          post,
          { kind: 'atPoints', lies: 'middle', which: 'all' },
          { name: 'Posts', fit: { kind: 'stiff', stands: 'plumb' } },
        ),
        rails('lower-rail', 'Lower rail', 0.28),
        rails('upper-rail', 'Upper rail', 0.82),
        courseOfSet(
          'pickets',
          picket,
          { kind: 'clearOpening', opening: 0.09, ends: 'whole' },
          {
            name: 'Pickets',
            side: 0.027,
            height: 0.1,
            fit: { kind: 'stiff', stands: 'plumb' },
            laying: between,
          },
        ),
      ],
    };
  },
});
