import { courseOfSet, defineSet, madeSegment, type SetParts } from './run-set';

export interface StairSizes {
  /** Metres. */
  readonly width: number;
  readonly going: number;
  readonly highest: number;
  /** Sides of the path, 1 = right, on which there are balusters and a rail. */
  readonly rails: readonly (1 | -1)[];
}

/** Treads with closed risers, strings, balusters, handrails with level ends and newels along one path from floor to floor. */
export function stairParts(id: (name: string) => string, { width, going, highest, rails }: StairSizes): SetParts {
  const [tread, string, baluster, rail, cap, newel] = ['tread', 'string', 'baluster', 'rail', 'cap', 'newel'].map(
    id,
  ) as [string, string, string, string, string, string];
  const half = width / 2;
  const wide = Math.min(0.04, width / 10);
  const level = { kind: 'plumb', beyond: 'level' } as const;
  const beside = (side: 1 | -1) => (side > 0 ? 'right' : 'left');
  const whole = { kind: 'fillStretch', gap: 0 } as const;
  return {
    segments: [
      madeSegment(tread, 'tread', { going, width: width - 2 * wide, nosing: 0.025, riser: highest, thickness: 0.04 }),
      madeSegment(
        string,
        'plank',
        { length: 0.8, width: wide, thickness: 0.3 },
        { name: 'String', prepare: { centre: 'middle' } },
      ),
      madeSegment(baluster, 'baluster', { form: 'turned', height: 0.8, size: 0.042, smooth: 0.0008 }),
      madeSegment(rail, 'rail', { form: 'moulded', length: 0.5 }, { name: 'Handrail' }),
      madeSegment(
        cap,
        'plank',
        { length: 0.03, width: 0.078, thickness: 0.073 },
        { name: 'Rail cap', prepare: { centre: 'middle' } },
      ),
      madeSegment(
        newel,
        'post',
        { form: 'square', height: 1.12, size: 0.09, thickness: 0.09, below: 0.12 },
        { name: 'Newel' },
      ),
    ],
    courses: [
      courseOfSet(
        'treads',
        tread,
        { kind: 'fromRise', highest, top: 'piece', gap: -0.025 },
        { name: 'Treads', fit: { kind: 'level', at: 'end' } },
      ),
      ...([1, -1] as const).map((side) =>
        courseOfSet(`string-${beside(side)}`, string, whole, {
          name: `String, ${beside(side)}`,
          side: side * (half - wide / 2),
          height: 0.06,
          fit: level,
        }),
      ),
      ...rails.flatMap((side) => {
        const at = side * (half - wide / 2);
        return [
          courseOfSet(
            `balusters-${beside(side)}`,
            baluster,
            { kind: 'clearOpening', opening: 0.099, ends: 'whole' },
            {
              name: `Balusters, ${beside(side)}`,
              side: at,
              height: 0.2,
              fit: { kind: 'levelBand', low: 0.13, high: 0.68, blend: 0.04, at: 'middle' },
              laying: { margins: { first: 0.05, last: 0.05, head: 0, tail: 0 } },
            },
          ),
          courseOfSet(
            `rail-${beside(side)}`,
            rail,
            { kind: 'fillStretch', gap: 0 },
            {
              name: `Handrail, ${beside(side)}`,
              head: cap,
              tail: cap,
              side: at,
              height: 1.02,
              fit: level,
              laying: { margins: { first: -0.15, last: -0.3, head: 0, tail: 0 } },
            },
          ),
          courseOfSet(
            `newels-${beside(side)}`,
            newel,
            { kind: 'atPoints', lies: 'middle', which: 'ends' },
            {
              name: `Newels, ${beside(side)}`,
              side: at,
              fit: { kind: 'stiff', stands: 'plumb' },
            },
          ),
        ];
      }),
    ],
  };
}

export const stair = defineSet({
  kind: 'stair',
  label: 'Stair with rails',
  hint: 'Level treads from the rise, strings, balusters, handrails and newels, from floor to floor',
  parts: (id) => stairParts(id, { width: 1, going: 0.27, highest: 0.18, rails: [1, -1] }),
});
