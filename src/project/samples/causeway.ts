import { COURSE_DEFAULTS, JOB_DEFAULTS, MADE_PREPARE, makerDefaults, newCourse } from '../defaults';
import { emptyProject, type Project } from '../schema';
import { causewayFurniture } from './landing-courses';
import { patterned } from './landing-finishes';
import { CAUSEWAY } from './landing-paths';

/** The landing's causeway with the drain along its kerb, both on one path. */
export const causeway = (): Project => ({
  ...emptyProject('Saltgrass Landing'),
  segments: [
    {
      id: 'kerbed-road',
      name: 'Kerbed road',
      source: { from: 'maker', spec: makerDefaults('kerbedLane') },
      prepare: MADE_PREPARE,
      finishes: [
        patterned('Carriageway', '#86898c', 'asphalt', 0.7, {
          fit: 'onward',
          texture: { from: 'pattern', pattern: 'asphalt', seed: 1, contrast: 0.3 },
        }),
      ],
    },
    {
      id: 'kerb-drain',
      name: 'Kerb drain',
      source: {
        from: 'maker',
        spec: { kind: 'kerbDrain', length: 128, width: 0.3, depth: 0.18, offset: 3.6, height: 0.08 },
      },
      prepare: MADE_PREPARE,
      finishes: [],
    },
  ],
  paths: [
    {
      id: 'causeway-line',
      name: 'Causeway line',
      curve: CAUSEWAY,
    },
  ],
  runs: [
    {
      id: 'causeway',
      name: 'Causeway',
      visible: true,
      path: 'causeway-line',
      ...JOB_DEFAULTS,
      courses: [newCourse('kerbed-road')],
    },
    {
      id: 'kerb-drain-run',
      name: 'Kerb drain',
      visible: true,
      path: 'causeway-line',
      ...JOB_DEFAULTS,
      courses: [
        newCourse('kerb-drain', { laying: { ...COURSE_DEFAULTS.laying, rule: { kind: 'onePiece', lies: 'reach' } } }),
      ],
    },
  ],
});

/** The causeway's courses as those of one run: road, drain, line and posts. */
export function wholeCauseway(): Project {
  const { runs, segments, ...rest } = causeway();
  const furniture = causewayFurniture();
  const [road, drain] = runs;
  const courses = [
    { ...road.courses[0], id: 'road', name: 'Road' },
    { ...drain.courses[0], id: 'drain', name: 'Kerb drain' },
    ...furniture.courses,
  ];
  const [lane, ...others] = segments;
  // Its bank stands on the bed of the marsh.
  const unmarked = {
    ...lane,
    source: {
      from: 'maker',
      spec: {
        ...(makerDefaults('kerbedLane') as object),
        kind: 'kerbedLane',
        length: 4,
        laneWidth: 3.2,
        centreLine: false,
        bankHeight: 2.1,
      },
    } as const,
  };
  return { ...rest, segments: [unmarked, ...others, ...furniture.segments], runs: [{ ...road, courses }] };
}
