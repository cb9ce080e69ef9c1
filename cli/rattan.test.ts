import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encodeProjectFile } from '../src/project/project-file';
import { causeway } from '../src/project/samples';

const ROOT = join(__dirname, '..');
const folder = mkdtempSync(join(tmpdir(), 'rattan-cli-'));
const project = join(folder, 'project.json');
writeFileSync(project, encodeProjectFile({ project: causeway(), assets: new Map() }));

const rattan = (...args: string[]) =>
  spawnSync(process.execPath, [join(ROOT, 'cli/rattan.mjs'), ...args], { cwd: folder, encoding: 'utf8' });

describe('rattan bake', () => {
  it('writes a GLB and a report with every figure', () => {
    const { status, stderr } = rattan(
      'bake',
      project,
      '--out',
      'a.glb',
      '--report',
      'a.json',
      '--frames',
      '5',
      '--run',
      'Causeway',
    );
    expect(stderr).toBe('');
    expect(status).toBe(0);
    expect(readFileSync(join(folder, 'a.glb')).subarray(0, 4).toString()).toBe('glTF');
    const [run] = JSON.parse(readFileSync(join(folder, 'a.json'), 'utf8')).runs;
    const keys = [
      'pathLength',
      'planLength',
      'tightestRadius',
      'tightestStation',
      'placements',
      'twist',
      'vertices',
      'triangles',
      'findings',
      'frames',
    ];
    for (const key of keys) expect(run).toHaveProperty(key);
    expect(Object.keys(run.placements[0])).toEqual([
      'piece',
      'kind',
      'station',
      'naturalLength',
      'length',
      'stretch',
      'roll',
      'gap',
    ]);
    expect(Object.keys(run.frames[0])).toEqual(['station', 'position', 'forward', 'up', 'side', 'curvature']);
  });

  it('writes an OBJ with its materials beside it, half grown', () => {
    expect(rattan('bake', project, '--out', 'b.obj', '--time', '2').status).toBe(0);
    expect(readFileSync(join(folder, 'b.obj'), 'utf8')).toContain('mtllib b.mtl');
    expect(readFileSync(join(folder, 'b.mtl'), 'utf8')).toContain('newmtl Asphalt');
  });

  it('ends with 1 and words on standard error when the work fails', () => {
    const damaged = join(folder, 'damaged.json');
    writeFileSync(damaged, '{"project": ');
    for (const args of [
      ['bake', damaged, '--out', 'c.glb'],
      ['bake', 'missing.json', '--out', 'c.glb'],
      ['bake', project, '--out', 'c.glb', '--run', 'Nowhere'],
    ]) {
      const { status, stderr, stdout } = rattan(...args);
      expect(status).toBe(1);
      expect(stderr).toMatch(/^rattan: /);
      expect(stdout).toBe('');
    }
  });

  it.each([
    [[]],
    [['bake']],
    [['fry', 'x']],
    [['bake', 'x.json']],
    [['bake', 'x.json', '--out', 'c.png']],
    [['bake', 'x.json', '--out', 'c.glb', '--time', 'soon']],
    [['bake', 'x.json', '--out', 'c.glb', '--frames', '5']],
    [['bake', 'x.json', '--shout']],
  ])('ends with 2 and the usage when the call is wrong: %j', (args) => {
    const { status, stderr } = rattan(...args);
    expect(status).toBe(2);
    expect(stderr).toContain('Usage: rattan bake');
  });
});
