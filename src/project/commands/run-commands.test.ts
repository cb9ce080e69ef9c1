import { boxSize, boxOf } from '../../core/mesh/box';
import { causeway, saltgrassLanding } from '../samples';
import { courseOf, projectSchema, type Project } from '../schema';
import { mirrorPath } from './mirror';
import { replaceCurve } from './paths';
import { addAlike, choosePath, freeName, ownPath, setStep } from './runs';
import { makerLike, setMaker } from './segments';

const isSound = (project: Project) => expect(projectSchema.safeParse(project).success).toBe(true);

describe('runs', () => {
  it('are made like others, on the same path or on one of their own, with names of their own', () => {
    const project = causeway();
    const beside = addAlike(project, 'causeway', 'copy');
    expect(beside.runs.map(({ name }) => name)).toEqual(['Causeway', 'Causeway 2', 'Kerb drain']);
    expect(freeName(beside, 'Causeway 2')).toBe('Causeway 3');
    const own = ownPath(beside, 'copy', 'new-path');
    expect(own.runs[1].path).toBe('new-path');
    expect(own.paths).toHaveLength(project.paths.length + 1);
    const back = choosePath(own, 'copy', 'causeway-line');
    expect(back.paths).toHaveLength(project.paths.length); // the copy went, nothing follows it any more
    for (const each of [beside, own, back]) isSound(each);
  });

  it('a path mirrored where it is keeps its box', () => {
    const project = mirrorPath(causeway(), 'causeway-line', 'z');
    const box = (p: Project) => boxOf(Float32Array.from(p.paths[0].curve.points.flatMap(({ position }) => position)));
    boxSize(box(project)).forEach((v, c) => expect(v).toBeCloseTo(boxSize(box(causeway()))[c], 5));
    expect(project.paths[0].curve.points[0].position[2]).not.toBe(causeway().paths[0].curve.points[0].position[2]);
  });

  it('along a belt have their outside out, until a rule is chosen for them', () => {
    const project = causeway();
    const curve = { ...project.paths[0].curve, kind: 'belt' as const };
    const belted = replaceCurve(project, 'causeway-line', curve);
    expect(belted.runs.every(({ shape }) => shape.frames.rule === 'faceOut')).toBe(true);
    const chosen = setStep(belted, 'causeway', 'shape', { frames: { rule: 'leastTwist', up: [0, 1, 0] } });
    const back = replaceCurve(chosen, 'causeway-line', project.paths[0].curve);
    expect(back.runs.map(({ shape }) => shape.frames.rule)).toEqual(['leastTwist', 'upright']);
  });
});

describe('another segment for a run', () => {
  it('keeps what both have, and the name follows unless it was given by hand', () => {
    const landing = saltgrassLanding();
    const tube = setMaker(landing, courseOf(landing.runs[0]).segment, makerLike('tube', { length: 1.951, radius: 0.07, sides: 'x' })); // prettier-ignore
    const made = tube.segments.find(({ id }) => id === courseOf(landing.runs[0]).segment)!.source;
    expect(made).toMatchObject({ spec: { kind: 'tube', length: 1.951, radius: 0.07, sides: 24 } });
    const named: Project = {
      ...causeway(),
      segments: causeway().segments.map((s, i) => (i === 0 ? { ...s, name: 'Kerbed road' } : s)),
      runs: causeway().runs.map((r, i) => (i === 0 ? { ...r, name: 'Kerbed road 2' } : r)),
    };
    const rope = setMaker(named, courseOf(named.runs[0]).segment, makerLike('rope', {}));
    expect(rope.runs[0].name).toBe('Rope');
    expect(rope.segments[0].name).toBe('Rope');
    const byHand = setMaker(causeway(), courseOf(causeway().runs[0]).segment, makerLike('rope', {}));
    expect(byHand.runs[0].name).toBe('Causeway');
  });
});
