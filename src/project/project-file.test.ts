import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { unwrap } from '../core/testing/runs';
import {
  encodeAsItIs,
  encodeProjectFile,
  mentionedAssets,
  parseProjectFile,
  projectFileSchema,
  unkept,
} from './project-file';
import { causeway } from './samples';
import { PREPARE_DEFAULTS } from '../core/segment/segment-spec';

const MESH = Uint8Array.from({ length: 100_000 }, (_, i) => (i * 7) % 256);
/** By an implementation of its own: Node's. */
const ID = createHash('sha256').update(MESH).digest('hex');
const withMesh = () => {
  const project = causeway();
  const [first, ...rest] = project.segments;
  const source = { from: 'asset' as const, asset: ID, fileName: 'log.glb' };
  return { ...project, segments: [{ ...first, source, prepare: PREPARE_DEFAULTS }, ...rest] };
};

describe('the project file', () => {
  it('brings a project and its meshes back unchanged, as the same text', async () => {
    const text = encodeProjectFile({ project: withMesh(), assets: new Map([[ID, MESH]]) });
    const opened = unwrap(await parseProjectFile(text));
    expect(opened.project).toEqual(withMesh());
    expect(opened.assets.get(ID)).toEqual(MESH);
    expect(encodeProjectFile(opened)).toBe(text);
  });

  it('tells of a project that could not be opened again before it is kept', () => {
    const project = causeway();
    expect(unkept(project)).toBeUndefined();
    const [run, ...rest] = project.runs;
    const gauge = { ...run, shape: { ...run.shape, gauge: NaN } };
    expect(unkept({ ...project, runs: [gauge, ...rest] })).toMatchObject({
      code: 'project.unkept',
      facts: { where: 'runs.0.shape.gauge' },
    });
  });

  it('leaves out meshes that no segment uses', () => {
    const text = encodeProjectFile({ project: causeway(), assets: new Map([[ID, new Uint8Array(3)]]) });
    expect(JSON.parse(text).assets).toEqual({});
  });

  it.each([
    ['not JSON', '{"project": {', 'project.not-json'],
    ['another JSON', '{"asset": {"version": "2.0"}}', 'project.foreign'],
    ['a list', '[]', 'project.foreign'],
    ['a newer one', '{"project": {"format": "rattan-project", "version": 99}, "assets": {}}', 'project.newer'],
  ])('tells what is wrong with %s', async (_, text, code) => {
    expect(await parseProjectFile(text)).toMatchObject({ ok: false, problems: [{ code }] });
  });

  const broken = (change: (file: { project: Record<string, never> }) => void) => {
    const file = JSON.parse(encodeProjectFile({ project: causeway(), assets: new Map() }));
    change(file);
    return parseProjectFile(JSON.stringify(file));
  };

  it('names the place of a wrong value', async () => {
    const result = await broken((file) =>
      Object.assign((file.project as never as ReturnType<typeof causeway>).runs[0].shape, { gauge: -1 }),
    );
    expect(result).toMatchObject({
      ok: false,
      problems: [{ code: 'project.invalid', path: ['project', 'runs', 0, 'shape', 'gauge'] }],
    });
  });

  it('refuses runs without their segment, twice the same id, and unknown keys', async () => {
    type Open = ReturnType<typeof causeway>;
    const reason = async (change: (project: { -readonly [K in keyof Open]: Open[K] }) => void) => {
      const result = await broken((file) => change(file.project as never));
      return result.ok ? 'ok' : `${result.problems[0].code} ${result.problems[0].path.join('.')}`;
    };
    expect(await reason((p) => (p.segments = p.segments.slice(1)))).toBe(
      'project.invalid project.runs.0.courses.0.segment',
    );
    expect(await reason((p) => (p.paths = [...p.paths, ...p.paths]))).toBe('project.invalid project.paths.1.id');
    expect(await reason((p) => Object.assign(p, { extra: 1 }))).toBe('project.invalid project');
  });

  it('leaves out meshes that are not there or not those of their id, by name, and opens the rest', async () => {
    const open = async (assets: object) => {
      const opened = await parseProjectFile('\uFEFF' + JSON.stringify({ project: withMesh(), assets }));
      return opened.ok && [opened.value.project.name, [...opened.value.assets.keys()], opened.warnings];
    };
    const user = withMesh().segments[0].name;
    const told = (code: string) => [causeway().name, [], [{ code, path: ['assets', ID], facts: { user } }]];
    expect(await open({})).toEqual(told('project.asset-missing'));
    expect(await open({ [ID]: btoa('another mesh') })).toEqual(told('project.asset-differs'));
  });

  it('takes what it does not understand as it is, with all meshes that it mentions', () => {
    const newer = { ...withMesh(), version: 99 };
    expect(mentionedAssets(newer)).toEqual([ID]);
    expect(JSON.parse(encodeAsItIs(newer, new Map([[ID, Uint8Array.of(1)]])))).toEqual({
      project: newer,
      assets: { [ID]: 'AQ==' },
    });
  });

  it('is described by the JSON Schema in docs', () => {
    const written = JSON.parse(readFileSync(join(__dirname, '../../docs/project-file.schema.json'), 'utf8'));
    expect(written).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(projectFileSchema, { io: 'input' }))));
  });
});
