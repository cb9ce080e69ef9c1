import { saltgrassLanding } from '../samples';

/** A run as version 1 wrote it. */
export const runOf = (laying: object, bending: object = {}, motion: object = {}) => ({
  id: 'r',
  name: 'Causeway',
  visible: true,
  segment: 's',
  path: 'p',
  laying: { rule: 'fillStretch', count: 10, gap: 0.2, from: 3, to: null, ...laying },
  bending: {
    frames: { rule: 'upright', up: [0, 1, 0] },
    ...{
      roll: 0.3,
      turns: 2,
      gauge: 1.5,
      lift: 0.1,
      pastEnd: 'trim',
      slicing: { by: 'rows', rows: 4 },
      tolerance: 0.002,
    },
    ...bending,
  },
  motion: { growth: 'stretchOut', seconds: 6, ...motion },
  setAside: ['steepPath'],
});
export const fileOf = (run: unknown) => ({
  project: {
    ...{ format: 'rattan-project', version: 1, name: 'Old' },
    segments: saltgrassLanding()
      .segments.slice(0, 1)
      .map((segment) => ({ ...segment, id: 's' })),
    paths: saltgrassLanding()
      .paths.slice(0, 1)
      .map((path) => ({ ...path, id: 'p' })),
    ...{ runs: [run], guides: [] },
  },
  assets: {},
});
/** The document of such a file. */
export const documentOf = (name: string): unknown => ({ ...fileOf(runOf({})).project, name });
