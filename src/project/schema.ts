import { z } from 'zod';
import { partsOf } from '../core/layout/course-parts';
import { courseJobSchema } from '../core/layout/course-spec';
import { runJobSchema } from '../core/motion/run-spec';
import { MOST_BODIES } from '../core/layout/pattern';
import { curveSpecSchema } from '../core/curve/registry';
import { guideSpecSchema } from '../core/guides/guide-spec';
import { TIME_DEFAULTS, timeSpecSchema } from '../core/motion/time-spec';
import { keysSchema } from '../core/motion/keys';
import { finishSpecSchema, type FinishSpec, type PlainFinish } from '../core/segment/finish/finish-spec';
import { prepareSpecSchema, segmentSourceSchema } from '../core/segment/segment-spec';
import { addressKey, addressSchema } from './keys/address';
import { leafSchema } from './keys/leaf-schema';
import { cameraSchema, placeSpecSchema } from './place-spec';

export const PROJECT_VERSION = 5;

const id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/);
const name = z.string().trim().min(1).max(200);

const segmentSchema = z.strictObject({
  id,
  name,
  source: segmentSourceSchema,
  prepare: prepareSpecSchema,
  /** How parts of it look, over what it brings. */
  finishes: z.array(finishSpecSchema).max(64).readonly().default([]),
});
/** Something to aim at or keep clear of; never part of what is baked unless that is asked for. */
const guideSchema = z.strictObject({
  id,
  name,
  visible: z.boolean(),
  folder: name.optional(),
  ...guideSpecSchema.shape,
});
/** What an end of a path is plugged into: a socket, or an end of another path. */
const plugSchema = z.union([
  z.strictObject({ guide: id }),
  z.strictObject({ path: id, end: z.enum(['start', 'end']) }),
]);
const pathSchema = z.strictObject({
  id,
  name,
  curve: curveSpecSchema,
  /** Ends that stay where they are plugged in, whatever else is edited. */
  plugs: z.strictObject({ start: plugSchema.optional(), end: plugSchema.optional() }).optional(),
});
/** One laid row of a run. */
const courseSchema = z.strictObject({
  id,
  /** Absent = its segment's. */
  name: name.optional(),
  visible: z.boolean().default(true),
  /** It dresses the run: it is told of there, beside what the run is laid of. */
  dresses: z.literal(true).optional(),
  /** Nothing of it is to be changed. */
  locked: z.boolean().default(false),
  /** Id of the segment that it lays. */
  segment: id,
  /** Further segments of the body, for patterns: B, C. */
  others: z
    .array(id)
    .max(MOST_BODIES - 1)
    .readonly()
    .default([]),
  /** What is laid once at either end, and what stands at joints. */
  head: id.optional(),
  tail: id.optional(),
  joint: id.optional(),
  ...courseJobSchema.shape,
});

const runSchema = z.strictObject({
  id,
  name,
  visible: z.boolean(),
  /** The folder in which it is listed. */
  folder: name.optional(),
  /** Id of the path that the run follows. */
  path: id,
  ...runJobSchema.shape,
  courses: z.array(courseSchema).min(1).max(64).readonly(),
  /** The kit that it follows, and which state of it: milliseconds since 1970. */
  kit: z.strictObject({ id, at: z.number().min(0) }).optional(),
  /** Kinds of findings that are not to be told of for this run, each a check, or a check and a guide: `check:guide`. */
  setAside: z.array(z.string().max(200)).max(100).readonly().optional(),
});

/** A value that changes over time, which otherwise is the same at all times. */
const keyedSchema = z.strictObject({ of: addressSchema, keys: keysSchema });

/** What of a project has an id, but for paths. */
export const ITEM_SCHEMAS = { runs: runSchema, segments: segmentSchema, guides: guideSchema } as const;

/** The project document: plain values only, replaced and never edited in place. */
export const projectSchema = z
  .strictObject({
    format: z.literal('rattan-project'),
    version: z.literal(PROJECT_VERSION),
    name,
    segments: z.array(segmentSchema).max(500).readonly(),
    paths: z.array(pathSchema).max(500).readonly(),
    runs: z.array(runSchema).max(500).readonly(),
    guides: z.array(guideSchema).max(500).readonly().default([]),
    time: timeSpecSchema.default(TIME_DEFAULTS),
    keyed: z.array(keyedSchema).max(1000).readonly().default([]),
    place: placeSpecSchema.optional(),
    cameras: z.array(cameraSchema).max(100).readonly().optional(),
  })
  .superRefine((project, context) => {
    const addresses = new Set<string>();
    project.keyed.forEach(({ of, keys }, i) => {
      const issue = (at: readonly (string | number)[], message: string) =>
        context.addIssue({ code: 'custom', path: ['keyed', i, ...at], message });
      if (addresses.has(addressKey(of))) issue(['of'], `${of.join(' / ')} has keys twice`);
      addresses.add(addressKey(of));
      const leaf = leafSchema(projectSchema, project, of);
      const wrong = leaf ? keys.findIndex(({ value }) => !leaf.safeParse(value).success) : -1;
      if (wrong >= 0) issue(['keys', wrong, 'value'], `${of.join(' / ')} cannot be ${String(keys[wrong].value)}`);
    });
    for (const key of ['segments', 'paths', 'runs', 'guides'] as const) {
      const seen = new Set<string>();
      project[key].forEach((item, i) => {
        if (seen.has(item.id))
          context.addIssue({ code: 'custom', path: [key, i, 'id'], message: `the id ${item.id} is there twice` });
        seen.add(item.id);
      });
    }
    project.runs.forEach((run, i) => {
      const expect = (
        list: readonly { id: string }[],
        key: string,
        wanted: string,
        at: readonly (string | number)[],
      ) => {
        if (list.some((item) => item.id === wanted)) return;
        context.addIssue({
          code: 'custom',
          path: ['runs', i, ...at],
          message: `there is no ${key} with the id ${wanted}`,
        });
      };
      expect(project.paths, 'path', run.path, ['path']);
      if (run.motion.after) expect(project.runs, 'run', run.motion.after.run, ['motion', 'after', 'run']);
      const ids = new Set<string>();
      run.courses.forEach((course, k) => {
        const at = ['courses', k];
        for (const used of partsOf(course)) expect(project.segments, 'segment', used, [...at, 'segment']);
        if (ids.has(course.id))
          context.addIssue({
            code: 'custom',
            path: ['runs', i, ...at, 'id'],
            message: `the id ${course.id} is there twice`,
          });
        ids.add(course.id);
      });
    });
  });

export type Project = z.infer<typeof projectSchema>;
export type Segment = z.infer<typeof segmentSchema>;
export type Path = z.infer<typeof pathSchema>;
export type Plug = z.infer<typeof plugSchema>;
export type Guide = z.infer<typeof guideSchema>;
export type Course = z.infer<typeof courseSchema>;
export type Keyed = z.infer<typeof keyedSchema>;
export type Run = z.infer<typeof runSchema>;

/** A course of a run, or its first where there is none of that id. */
export const courseOf = (run: Run, id?: string): Course =>
  run.courses.find((course) => course.id === id) ?? run.courses[0];

/** Whether any course of a run lays a segment. */
export const laysSegment = ({ courses }: Run, segment: string): boolean =>
  courses.some((course) => partsOf(course).includes(segment));

export const emptyProject = (projectName: string): Project => ({
  format: 'rattan-project',
  version: PROJECT_VERSION,
  name: projectName,
  segments: [],
  paths: [],
  runs: [],
  guides: [],
  time: TIME_DEFAULTS,
  keyed: [],
});

const imagesOf = (finishes: readonly (PlainFinish & Partial<Pick<FinishSpec, 'coat'>>)[]): readonly string[] =>
  finishes.flatMap(({ texture, coat }) => [
    ...(texture?.from === 'image' ? [texture.asset] : []),
    ...(coat ? imagesOf([coat.finish]) : []),
    ...(coat?.mask.kind === 'map' && coat.mask.asset !== null ? [coat.mask.asset] : []),
  ]);

/** Ids of the brought meshes and images that a project's segments and guides use. */
export const assetIdsOf = (project: Pick<Project, 'segments' | 'guides' | 'place'>): readonly string[] => [
  ...new Set([
    ...project.guides.flatMap(({ shape, finish }) => [
      ...(shape.from === 'asset' ? [shape.asset] : []),
      ...imagesOf(finish ? [finish] : []),
    ]),
    ...imagesOf(project.place?.ground ? [project.place.ground] : []),
    ...project.segments.flatMap(({ source, finishes }) => [
      ...(source.from === 'asset' ? [source.asset] : []),
      ...imagesOf(finishes),
    ]),
  ]),
];
