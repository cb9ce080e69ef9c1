import { MOTION_DEFAULTS } from '../../core/motion/motion-spec';
import { TIME_DEFAULTS } from '../../core/motion/time-spec';
import { unwrap } from '../../core/testing/runs';
import { parseProjectValue } from '../project-file';
import { LAYING_DEFAULTS } from '../../core/layout/laying-spec';
import { newCourse } from '../defaults';
import { PROJECT_VERSION, projectSchema } from '../schema';
import { saltgrassLanding } from '../samples';
import { fileOf, runOf } from '../testing/version-1';
import { upgrade } from '.';

const opened = async (laying: object, bending: object = {}, motion: object = {}) =>
  unwrap(await parseProjectValue(fileOf(runOf(laying, bending, motion)))).project.runs[0];

describe('a project of version 1', () => {
  it('keeps everything that it said, each in its new place', async () => {
    const run = await opened({ variation: { tint: 0.2, shift: 0, seed: 7 } });
    expect(run).toEqual({
      ...{ id: 'r', name: 'Causeway', visible: true, path: 'p', setAside: ['steepPath'] },
      reach: { from: 3, to: null },
      shape: { frames: { rule: 'upright', up: [0, 1, 0] }, roll: 0.3, turns: 2, gauge: 1.5, lift: 0.1 },
      bending: { pastEnd: 'trim', slicing: { by: 'rows', rows: 4 }, tolerance: 0.002 },
      motion: { ...MOTION_DEFAULTS, growth: { kind: 'stretchOut', seconds: 6 } },
      courses: [
        newCourse('s', {
          laying: {
            ...LAYING_DEFAULTS,
            rule: { kind: 'fillStretch', gap: 0.2 },
            variation: { tint: 0.2, shift: 0, seed: 7 },
          },
        }),
      ],
    });
  });

  it.each([
    [{ rule: 'fillGaps' }, { kind: 'fillGaps', gap: 0.2 }],
    [{ rule: 'byCount' }, { kind: 'byCount', count: 10, over: 'own', gap: 0.2 }],
    [
      { rule: 'byCount', countFit: 'gaps' },
      { kind: 'byCount', count: 10, over: 'gaps', gap: 0.2 },
    ],
    [{ rule: 'onePiece' }, { kind: 'onePiece', lies: 'reach' }],
    [
      { rule: 'onePiece', oneFit: 'middle' },
      { kind: 'onePiece', lies: 'middle' },
    ],
  ])('takes over of a rule what that uses: %j', async (laying, rule) => {
    const run = await opened(laying);
    expect(run.courses[0].laying.rule).toEqual(rule);
    expect(run.courses[0].laying.variation).toEqual({ tint: 0, shift: 0, seed: 1 });
  });

  it('that does not move has no seconds', async () => {
    expect((await opened({}, {}, { growth: 'none' })).motion).toEqual(MOTION_DEFAULTS);
  });

  it('is told where it is wrong, whatever is wrong with it', async () => {
    for (const [run, place] of [
      [runOf({ gap: 'wide' }), 'courses.0.laying.rule.gap'],
      [runOf({}, { gauge: -1 }), 'shape.gauge'],
      [{ ...runOf({}), bending: 3 }, 'shape.frames'],
      [{ ...runOf({}), segment: 'gone' }, 'courses.0.segment'],
      [null, ''],
    ] as const) {
      const result = await parseProjectValue(fileOf(run));
      const at = result.ok ? 'none' : result.problems.map(({ path }) => path.join('.'));
      expect(at).toContain(['project.runs.0', place].filter(Boolean).join('.'));
    }
    for (const project of [undefined, 3, [], { format: 'rattan-project', version: 1 }])
      expect((await parseProjectValue({ project, assets: {} })).ok).toBe(false);
  });

  it('that is of this version stays as it is', () => {
    const file = { project: saltgrassLanding(), assets: {} };
    expect(upgrade(file, PROJECT_VERSION)).toBe(file);
    expect(projectSchema.parse(saltgrassLanding())).toEqual(saltgrassLanding());
  });
});

describe('a project of version 2', () => {
  it('has courses as they were, without names, margins, patterns or joints', async () => {
    const project = saltgrassLanding();
    const plain = (run: (typeof project.runs)[number]) => ({
      ...run,
      courses: run.courses.map(({ id, segment, side, height, laying: { rule, variation } }) => ({
        ...{ id, segment, side, height, fit: { kind: 'stiff' } },
        laying: { rule, variation },
      })),
    });
    const old = { project: { ...project, version: 2, runs: project.runs.slice(1, 3).map(plain) }, assets: {} };
    const { runs } = unwrap(await parseProjectValue(old)).project;
    expect(runs.map(({ courses }) => courses)).toEqual(
      project.runs.slice(1, 3).map(({ courses }) => [{ ...courses[0], fit: { kind: 'stiff', stands: 'square' } }]),
    );
  });
});

describe('a project of version 3', () => {
  const file = (motions: readonly object[]) => ({
    project: { format: 'rattan-project', version: 3, name: 'Old', runs: motions.map((motion) => ({ motion })) },
  });
  const upgraded = (motions: readonly object[]) =>
    (upgrade(file(motions), 3) as { project: { version: number; runs: { motion: object }[]; time: object } }).project;

  it('grows and travels as it did, in a time as long as the longest took', () => {
    const { version, runs, time } = upgraded([
      { kind: 'stretchOut', seconds: 6 },
      { kind: 'travel', speed: -0.4, seconds: 9 },
      { kind: 'none' },
    ]);
    expect(version).toBe(PROJECT_VERSION);
    expect(runs.map(({ motion }) => motion)).toEqual([
      { ...MOTION_DEFAULTS, growth: { kind: 'stretchOut', seconds: 6 } },
      { ...MOTION_DEFAULTS, speed: -0.4 },
      MOTION_DEFAULTS,
    ]);
    expect(time).toEqual({ ...TIME_DEFAULTS, seconds: 9 });
  });

  it('in which nothing moves has four seconds; what is no run stays what it is', () => {
    expect(upgraded([{ kind: 'none' }]).time).toEqual(TIME_DEFAULTS);
    const broken = upgrade({ project: { version: 3, runs: 'none' } }, 3);
    expect(broken).toEqual({ project: { version: PROJECT_VERSION, runs: 'none' } });
  });
});
