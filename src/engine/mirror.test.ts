import { unwrap } from '../core/testing/runs';
import { addMirrored } from '../project/commands/mirror';
import { causeway } from '../project/samples';
import { projectSchema, type Project } from '../project/schema';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { sourceOf } from './run-source';
import { meshOf as derivedMesh } from './testing/sources';

const deriver = new Deriver(loadFrom(new Map()));
const meshOf = async (project: Project, id: string) =>
  derivedMesh(
    await deriver.derive(
      unwrap(
        sourceOf(
          project,
          project.runs.find((r) => r.id === id)!,
        ),
      ),
    ),
  );
describe('a mirrored run', () => {
  it('has its segment mirrored too: every vertex lies where its twin does, on the other side', async () => {
    const made = addMirrored(causeway(), 'causeway', 'x', { run: 'twin', path: 'twin-path', segment: 'twin-segment' });
    expect(projectSchema.safeParse(made).success).toBe(true);
    const [a, b] = [await meshOf(made, 'causeway'), await meshOf(made, 'twin')];
    const sorted = (p: Float32Array, sign: number) =>
      Array.from({ length: p.length / 3 }, (_, i) => [sign * p[i * 3], p[i * 3 + 1], p[i * 3 + 2]] as const)
        .map(([x, y, z]) => [x, y, z].map((v) => v.toFixed(2)).join())
        .toSorted();
    const [own, other] = [new Set(sorted(a.positions, 1)), new Set(sorted(b.positions, -1))];
    const shared = [...own].filter((place) => other.has(place)).length;
    expect(shared / own.size).toBeGreaterThan(0.9); // the rest was rounded the other way
    expect(b.indices.length).toBe(a.indices.length);
  });
});
