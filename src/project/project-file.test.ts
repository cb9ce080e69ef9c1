import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { unwrap } from '../core/testing/runs';
import { encodeProjectFile, parseProjectFile, projectFileSchema, unkept } from './project-file';
import { causeway } from './samples';
import { PREPARE_DEFAULTS } from '../core/segment/segment-spec';

const ID = 'a'.repeat(64);
const withMesh = () => {
  const project = causeway();
  const [first, ...rest] = project.segments;
  const source = { from: 'asset' as const, asset: ID, fileName: 'log.glb' };
  return { ...project, segments: [{ ...first!, source, prepare: PREPARE_DEFAULTS }, ...rest] };
};

describe('the project file', () => {
  it('brings a project and its meshes back unchanged, as the same text', () => {
    const bytes = Uint8Array.from({ length: 100_000 }, (_, i) => (i * 7) % 256);
    const text = encodeProjectFile({ project: withMesh(), assets: new Map([[ID, bytes]]) });
    const opened = unwrap(parseProjectFile(text));
    expect(opened.project).toEqual(withMesh());
    expect(opened.assets.get(ID)).toEqual(bytes);
    expect(encodeProjectFile(opened)).toBe(text);
  });

  it('tells of a project that could not be opened again before it is kept', () => {
    const project = causeway();
    expect(unkept(project)).toBeUndefined();
    const [run, ...rest] = project.runs;
    const gauge = { ...run!, bending: { ...run!.bending, gauge: NaN } };
    expect(unkept({ ...project, runs: [gauge, ...rest] })).toMatchObject({
      code: 'project.unkept',
      facts: { where: 'runs.0.bending.gauge' },
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
  ])('tells what is wrong with %s', (_, text, code) => {
    expect(parseProjectFile(text)).toMatchObject({ ok: false, problems: [{ code }] });
  });

  const broken = (change: (file: { project: Record<string, never> }) => void) => {
    const file = JSON.parse(encodeProjectFile({ project: causeway(), assets: new Map() }));
    change(file);
    return parseProjectFile(JSON.stringify(file));
  };

  it('names the place of a wrong value', () => {
    const result = broken((file) =>
      Object.assign((file.project as never as ReturnType<typeof causeway>).runs[0]!.bending, { gauge: -1 }),
    );
    expect(result).toMatchObject({
      ok: false,
      problems: [{ code: 'project.invalid', path: ['project', 'runs', 0, 'bending', 'gauge'] }],
    });
  });

  it('refuses runs without their segment, twice the same id, unknown keys, and segments without their mesh', () => {
    type Open = ReturnType<typeof causeway>;
    const reason = (change: (project: { -readonly [K in keyof Open]: Open[K] }) => void) => {
      const result = broken((file) => change(file.project as never));
      return result.ok ? 'ok' : `${result.problems[0]!.code} ${result.problems[0]!.path.join('.')}`;
    };
    expect(reason((p) => (p.segments = p.segments.slice(1)))).toBe('project.invalid project.runs.0.segment');
    expect(reason((p) => (p.paths = [...p.paths, ...p.paths]))).toBe('project.invalid project.paths.1.id');
    expect(reason((p) => Object.assign(p, { extra: 1 }))).toBe('project.invalid project');
    expect(reason((p) => (p.segments = withMesh().segments))).toBe('project.asset-missing segments.0');
  });

  it('is described by the JSON Schema in docs', () => {
    const written = JSON.parse(readFileSync(join(__dirname, '../../docs/project-file.schema.json'), 'utf8'));
    expect(written).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(projectFileSchema, { io: 'input' }))));
  });
});
