import { JOB_DEFAULTS, MADE_PREPARE, makerDefaults } from '../defaults';
import { emptyProject, type Project } from '../schema';

const CAUSEWAY: readonly (readonly [number, number, number])[] = [
  [-52, 0, 14],
  [-34, 0.05, 17],
  [-16, 0.2, 10],
  [-7, 0.4, -6],
  [8, 0.75, -12.5],
  [20, 1, -2],
  [34, 1.1, 8],
  [52, 1.1, 6],
];

/** A small tidal ferry landing on a salt marsh: its causeway and the drain along the kerb, both on one path. */
export const saltgrassLanding = (): Project => ({
  ...emptyProject('Saltgrass Landing'),
  segments: [
    { id: 'kerbed-road', name: 'Kerbed road', source: { from: 'maker', spec: makerDefaults('kerbedLane') }, prepare: MADE_PREPARE },
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
