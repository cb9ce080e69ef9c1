import { isObject, objectOf, type Loose } from './loose';

/** The options of a rule that it has a use for. */
const ruleOf = ({ rule, gap, count, countFit = 'own', oneFit = 'reach' }: Loose): unknown => {
  if (rule === 'byCount') return { kind: rule, count, over: countFit, gap };
  if (rule === 'onePiece') return { kind: rule, lies: oneFit };
  return { kind: rule, gap };
};

const motionOf = ({ growth, seconds }: Loose): unknown =>
  growth === 'none' ? { kind: growth } : { kind: growth, seconds };

function runOf(value: unknown): unknown {
  if (!isObject(value)) return value;
  const { segment, laying, bending, motion, ...kept } = value;
  const { from, to, variation, ...rule } = objectOf(laying);
  const { pastEnd, slicing, tolerance, ...shape } = objectOf(bending);
  return {
    ...kept,
    reach: { from, to },
    shape,
    bending: { pastEnd, slicing, tolerance },
    motion: motionOf(objectOf(motion)),
    courses: [
      {
        id: 'main',
        segment,
        laying: { rule: ruleOf(rule), ...(variation !== undefined && { variation }) },
        fit: { kind: 'bent' },
      },
    ],
  };
}

/**
 * A run's laying becomes that of its one course, and its reach the run's own; frames, roll, turns and gauge become its shape; rules and motions
 * carry only what they use.
 */
export function toVersion2(file: unknown): unknown {
  const { project, ...beside } = objectOf(file);
  const read = objectOf(project);
  const runs = Array.isArray(read.runs) ? read.runs.map(runOf) : read.runs;
  return { ...beside, project: { ...read, version: 2, runs } };
}
