import { spawnSync } from 'node:child_process';
import { unzipSync } from 'fflate';
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

describe('rattan bake of a sequence', () => {
  const growing = ['--run', 'Kerb drain', '--fps', '2'];

  it('writes a file a frame, sorted by name, each of its own time', () => {
    const { status, stderr } = rattan('bake', project, '--out', 'seq.obj', '--frames-range', '1-5', ...growing);
    expect([status, stderr]).toEqual([0, '']);
    const lengths = [1, 2, 3, 4, 5].map((frame) => {
      const text = readFileSync(join(folder, `seq_000${frame}.obj`), 'utf8');
      return (text.match(/^v /gm) ?? []).length;
    });
    expect(lengths[0]).toBe(0); // nothing has grown yet
    expect(lengths[1]).toBeGreaterThan(100);
    // At half a second a frame: frame 5 is at two seconds.
    expect(rattan('bake', project, '--out', 'one.obj', '--time', '2', '--run', 'Kerb drain').status).toBe(0);
    const vertices = (file: string) => readFileSync(join(folder, file), 'utf8').match(/^v .*$/gm);
    expect(vertices('seq_0005.obj')).toEqual(vertices('one.obj'));
  });

  it('writes all of them into one zip that other programs open', () => {
    expect(rattan('bake', project, '--out', 'seq.zip', '--frames-range', '2-4', ...growing).status).toBe(0);
    const files = unzipSync(readFileSync(join(folder, 'seq.zip')));
    expect(Object.keys(files)).toEqual(['seq_0002.glb', 'seq_0003.glb', 'seq_0004.glb']);
    for (const bytes of Object.values(files)) expect(Buffer.from(bytes.subarray(0, 4)).toString()).toBe('glTF');
  });

  it('writes one GLB that moves, and says how far it is off', () => {
    const moving = ['--moving', 'joints', '--most', '30', '--frames-range', '1-9'];
    const { status, stderr } = rattan('bake', project, '--out', 'moves.glb', ...moving, ...growing);
    expect([status, stderr]).toEqual([0, expect.stringMatching(/30 joints, 0 shapes; off by up to [\d.]+ mm/)]);
    const bytes = readFileSync(join(folder, 'moves.glb'));
    const json = JSON.parse(bytes.subarray(20, 20 + bytes.readUInt32LE(12)).toString()) as { animations: unknown[] };
    expect(json.animations).toHaveLength(1);
  });

  it.each([
    [['--out', 's.zip'], /a zip holds a sequence/],
    [['--out', 's.glb', '--frames-range', '5-2'], /two numbers from 1 on/],
    [['--out', 's.glb', '--frames-range', '1-3', '--time', '2'], /take one/],
    [['--out', 's.glb', '--fps', '12'], /--fps needs --frames-range/],
    [['--out', 's.zip', '--frames-range', '1-3', '--format', 'fbx'], /take glb, obj, ply, stl/],
    [['--out', 's.glb', '--moving', 'joints'], /--moving makes one .glb/],
    [['--out', 's.glb', '--frames-range', '1-3', '--moving', 'bones'], /take joints or shapes/],
    [['--out', 's.glb', '--frames-range', '1-3', '--most', '9'], /--most needs --moving/],
  ])('ends with 2 and says what it does not understand: %j', (args, words) => {
    const { status, stderr } = rattan('bake', project, ...args);
    expect(status).toBe(2);
    expect(stderr).toMatch(words);
  });
});
