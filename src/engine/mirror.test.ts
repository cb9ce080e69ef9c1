import { unwrap } from '../core/testing/runs';
import { addMirrored } from '../project/commands/mirror';
import { setCourse, setLaying } from '../project/commands/runs';
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

/** The share of a run's vertices whose twin lies on the other side of the scene's middle; the rest was rounded the other way. */
async function sharedWithTwin(project: Project): Promise<number> {
  const made = addMirrored(project, 'causeway', 'x', { run: 'twin', path: 'twin-path', segment: 'twin-segment' });
  expect(projectSchema.safeParse(made).success).toBe(true);
  const [a, b] = [await meshOf(made, 'causeway'), await meshOf(made, 'twin')];
  expect(b.indices.length).toBe(a.indices.length);
  const places = (p: Float32Array, sign: number) =>
    new Set(
      Array.from({ length: p.length / 3 }, (_, i) =>
        [sign * p[i * 3], p[i * 3 + 1], p[i * 3 + 2]].map((v) => v.toFixed(2)).join(),
      ),
    );
  const [own, other] = [places(a.positions, 1), places(b.positions, -1)];
  return [...own].filter((place) => other.has(place)).length / own.size;
}

describe('a mirrored run', () => {
  it('has its segment mirrored too: every vertex lies where its twin does, on the other side', async () => {
    expect(await sharedWithTwin(causeway())).toBeGreaterThan(0.9);
  });

  it('lies and turns to the other side in every way that a course can', async () => {
    const at = { run: 'causeway' };
    const beside = setCourse(causeway(), at, { align: { side: 'left', height: 'own' }, side: 1.5, mirrored: true });
    const turned = setLaying(beside, at, {
      everyOther: { every: 3, turn: 0.2, mirrored: true },
      pieces: Array.from({ length: 20 }, (_, i) => ({ piece: 2 * i, side: 0.7, turn: 0.4, along: 0.3, up: 0.2 })),
    });
    expect(await sharedWithTwin(turned)).toBeGreaterThan(0.9);
  });
});
