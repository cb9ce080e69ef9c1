import { newCourse } from '../defaults';
import { causeway, saltgrassLanding } from '../samples';
import { projectSchema, type Course, type Project } from '../schema';
import { addCourse, copyCourse, courseName, deleteCourse, editPiece, moveCourse } from './courses';
import { copyToOtherSide } from './mirror';
import { setCourse, setLaying } from './runs';

const coursesOf = (project: Project, run = 'causeway') => project.runs.find(({ id }) => id === run)!.courses;
const idsOf = (project: Project, run?: string) => coursesOf(project, run).map(({ id }) => id);
const isSound = (project: Project) => expect(projectSchema.safeParse(project).error?.issues ?? []).toEqual([]);

/** The causeway with a second and a third course of its segment. */
const three = (): Project => {
  const project = causeway();
  const [{ segment }] = coursesOf(project);
  const second: Course = { ...newCourse(segment), id: 'second', name: 'Second', side: 2 };
  return addCourse(addCourse(project, 'causeway', second), 'causeway', { ...second, id: 'third', name: 'Third' });
};

describe('courses', () => {
  it('are added behind the others, in their order, and go by a name of their own or their segment’s', () => {
    const project = three();
    isSound(project);
    const [first, , third] = coursesOf(project);
    expect(idsOf(project)).toEqual([first.id, 'second', 'third']);
    expect(courseName(project, third)).toBe('Third');
    expect(courseName(project, first)).toBe(project.segments.find(({ id }) => id === first.segment)!.name);
  });

  it('are copied right behind themselves, or to another run, and the copy is free', () => {
    const locked = setCourse(three(), { run: 'causeway', course: 'second' }, { locked: true });
    const beside = copyCourse(locked, 'causeway', 'second', 'copy');
    expect(idsOf(beside).slice(1)).toEqual(['second', 'copy', 'third']);
    expect(coursesOf(beside)[2]).toMatchObject({ side: 2, locked: false });
    const away = copyCourse(locked, 'causeway', 'second', 'copy', 'kerb-drain-run');
    const [run] = away.runs.filter(({ id }) => id !== 'causeway');
    expect(run.courses.at(-1)).toMatchObject({ id: 'copy', side: 2 });
    expect(away.segments).toEqual(locked.segments); // shared
    for (const project of [beside, away]) isSound(project);
    expect(copyCourse(locked, 'no such run', 'second', 'copy')).toBe(locked);
  });

  it('are copied to the other side: what lies or turns to a side does so the other way', () => {
    const at = { run: 'causeway', course: 'second' };
    const aligned = setCourse(three(), at, { align: { side: 'left', height: 'top' } });
    const edited = setLaying(aligned, at, {
      everyOther: { every: 2, turn: 0.5, mirrored: true },
      pieces: [{ piece: 3, turn: -0.2, side: 0.1, up: 0.3 }],
    });
    const project = copyToOtherSide(edited, 'causeway', 'second', 'copy');
    isSound(project);
    const copy = coursesOf(project).find(({ id }) => id === 'copy')!;
    expect(copy).toMatchObject({ side: -2, mirrored: true, align: { side: 'right', height: 'top' } });
    expect(copy.laying.everyOther).toEqual({ every: 2, turn: -0.5, mirrored: true });
    expect(copy.laying.pieces).toEqual([{ piece: 3, turn: 0.2, side: -0.1, up: 0.3 }]);
    expect(copy.name).toBe('Second, other side');
    const back = copyToOtherSide(project, 'causeway', 'copy', 'back');
    const { id: _, name: __, ...twice } = coursesOf(back).find(({ id }) => id === 'back')!;
    const { id: ___, name: ____, ...once } = coursesOf(edited).find(({ id }) => id === 'second')!;
    expect(twice).toEqual(once);
  });

  it('are moved to where another one is, and nowhere when there is none', () => {
    const project = three();
    const [first] = idsOf(project);
    expect(idsOf(moveCourse(project, 'causeway', 'third', first))).toEqual(['third', first, 'second']);
    expect(idsOf(moveCourse(project, 'causeway', first, 'third'))).toEqual(['second', 'third', first]);
    expect(idsOf(moveCourse(project, 'causeway', 'third', 'none'))).toEqual(idsOf(project));
  });

  it('are deleted with the segments that nothing else lays; locked ones and the last one stay', () => {
    const project = three();
    const [first] = coursesOf(project);
    const own = { ...project.segments.find(({ id }) => id === first.segment)!, id: 'own' };
    const fourth = { ...newCourse('own'), id: 'fourth' };
    const four = addCourse(project, 'causeway', fourth, [own]);
    expect(four.segments.map(({ id }) => id)).toContain('own');
    expect(deleteCourse(four, 'causeway', 'fourth').segments).toEqual(project.segments);
    const locked = setCourse(four, { run: 'causeway', course: 'fourth' }, { locked: true });
    expect(idsOf(deleteCourse(locked, 'causeway', 'fourth'))).toContain('fourth');
    const alone = causeway();
    expect(idsOf(deleteCourse(alone, 'causeway', idsOf(alone)[0]))).toEqual(idsOf(alone));
  });

  it('that are locked change in nothing but their lock and whether they are shown', () => {
    const at = { run: 'causeway', course: 'second' };
    const locked = setCourse(three(), at, { locked: true });
    expect(setCourse(locked, at, { side: 5 })).toBe(locked);
    expect(setLaying(locked, at, { rule: { kind: 'onePiece', lies: 'reach' } })).toBe(locked);
    expect(coursesOf(setCourse(locked, at, { visible: false }))[1].visible).toBe(false);
    expect(coursesOf(setCourse(locked, at, { locked: false }))[1].locked).toBe(false);
  });
});

describe('editPiece', () => {
  const at = { run: 'shore-fence-run' };
  const piecesOf = (project: Project) => coursesOf(project, at.run)[0].laying.pieces;

  it('says of one piece what is said, keeps what was, and forgets it when nothing is left', () => {
    const hidden = editPiece(saltgrassLanding(), at, 4, { hidden: true });
    const moved = editPiece(hidden, at, 4, { along: 0.2 });
    expect(piecesOf(moved)).toEqual([{ piece: 4, hidden: true, along: 0.2 }]);
    const both = editPiece(moved, at, 7, { turn: 1 });
    expect(piecesOf(both)).toHaveLength(2);
    isSound(both);
    const shown = editPiece(both, at, 4, { hidden: undefined, along: 0 });
    expect(piecesOf(shown)).toEqual([{ piece: 7, turn: 1 }]);
  });

  it('keeps the first segment where the pattern asks for another one', () => {
    const first = editPiece(saltgrassLanding(), at, 1, { body: 0 });
    expect(piecesOf(first)).toEqual([{ piece: 1, body: 0 }]);
    expect(piecesOf(editPiece(first, at, 1, { body: undefined }))).toEqual([]);
  });

  it('changes nothing of a run that is not there, or of a locked course', () => {
    const project = saltgrassLanding();
    expect(editPiece(project, { run: 'none' }, 1, { hidden: true })).toBe(project);
    const locked = setCourse(project, at, { locked: true });
    expect(editPiece(locked, at, 1, { hidden: true })).toBe(locked);
  });
});
