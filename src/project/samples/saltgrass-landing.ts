import { JOB_DEFAULTS, MADE_PREPARE, makerDefaults } from '../defaults';
import { emptyProject, type Project } from '../schema';

const CAUSEWAY: readonly (readonly [number, number, number])[] = [
  [-43.5, 0, 8],
  [-30, 0.05, 22],
  [-11, 0.2, 25],
  [2, 0.5, 11.5],
  [6.5, 0.8, -8],
  [17, 1.05, -19],
  [32, 1.1, -14],
  [46, 1.1, -3],
];

/** A small tidal ferry landing on a salt marsh: its causeway and the drain along the kerb, both on one path. */
export const saltgrassLanding = (): Project => ({
  ...emptyProject('Saltgrass Landing'),
  segments: [
    {
      id: 'kerbed-road',
      name: 'Kerbed road',
      source: { from: 'maker', spec: makerDefaults('kerbedLane') },
      prepare: MADE_PREPARE,
    },
    {
      id: 'kerb-drain',
      name: 'Kerb drain',
      source: {
        from: 'maker',
        spec: { kind: 'kerbDrain', length: 128, width: 0.3, depth: 0.18, offset: 3.6, height: 0.08 },
      },
      prepare: MADE_PREPARE,
    },
  ],
  paths: [
    {
      id: 'causeway-line',
      name: 'Causeway line',
      curve: { kind: 'smooth', closed: false, points: CAUSEWAY.map((position) => ({ position })) },
    },
  ],
  runs: [
    { id: 'causeway', name: 'Causeway', visible: true, segment: 'kerbed-road', path: 'causeway-line', ...JOB_DEFAULTS },
    {
      id: 'kerb-drain-run',
      name: 'Kerb drain',
      visible: true,
      segment: 'kerb-drain',
      path: 'causeway-line',
      ...JOB_DEFAULTS,
      laying: { ...JOB_DEFAULTS.laying, rule: 'onePiece' },
    },
  ],
});
