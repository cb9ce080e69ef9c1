import { curveKind } from '../../core/curve/registry';
import { guideBody } from '../../core/guides/guide-spec';
import type { FormField } from '../../core/math/form-field';
import { layingRule } from '../../core/layout/registry';
import { maker } from '../../core/segment/registry';
import { courseName } from '../../project/commands/courses';
import type { Address } from '../../project/keys/address';
import { courseOf, type Project } from '../../project/schema';
import type { QuantityName } from '../fields/quantity';

/** What a value with keys is called, and what it is measured in. */
export interface KeyedWords {
  readonly name: string;
  /** To whom it belongs, where that is not plain. */
  readonly owner: string;
  readonly quantity: QuantityName;
}

const OWN: Readonly<Record<string, readonly [string, QuantityName]>> = {
  roll: ['Roll', 'angle'],
  turns: ['Turns', 'plain'],
  gauge: ['Gauge', 'plain'],
  lift: ['Lifted', 'length'],
  from: ['Reach from', 'length'],
  to: ['Reach to', 'length'],
  shift: ['Slid along', 'length'],
  side: ['To the right', 'length'],
  height: ['Above', 'length'],
  radius: ['Radius', 'length'],
  colour: ['Colour', 'plain'],
  roughness: ['Roughness', 'percent'],
  metalness: ['Metal', 'percent'],
  contrast: ['Contrast', 'percent'],
  bump: ['Relief', 'percent'],
  repeat: ['One repeat', 'length'],
  turn: ['Turned', 'angle'],
  shiftAlong: ['Moved along', 'length'],
  shiftRound: ['Moved round', 'length'],
  clearance: ['Kept clear by', 'length'],
  weight: ['Weight', 'plain'],
  tint: ['Brightness varies', 'percent'],
  every: ['Other at every', 'plain'],
  angle: ['Corners sharper than', 'angle'],
  clear: ['Free at joints', 'length'],
  first: ['Free at the start', 'length'],
  last: ['Free at the end', 'length'],
  head: ['Free behind the head', 'length'],
  tail: ['Free before the tail', 'length'],
  start: ['Roll at the start', 'angle'],
  end: ['Roll at the end', 'angle'],
  rows: ['Rows in a piece', 'plain'],
  spacing: ['A row every', 'length'],
  tolerance: ['Tolerance of the bend', 'length'],
};

const UNITS: Readonly<Record<string, QuantityName>> = { m: 'length', angle: 'angle', share: 'percent', s: 'time' };

/** The words of a form's own field, where one has this key. */
function fieldWords(fields: readonly { key: string; label: string }[], key: string): readonly [string, QuantityName] {
  const field = fields.find((own) => own.key === key) as (FormField & { unit?: string }) | undefined;
  const [name, quantity] = OWN[key] ?? [key, 'plain'];
  return field ? [field.label, UNITS[field.unit ?? ''] ?? 'plain'] : [name, quantity];
}

/** How a value with keys is told of. */
export function keyedWords(project: Project, of: Address): KeyedWords {
  const [root, id, ...rest] = of;
  const key = rest.at(-1)!;
  if (root === 'paths') {
    const path = project.paths.find((own) => own.id === id);
    const nth = rest[1] === 'points' ? `point ${Number(rest[2]) + 1}` : '';
    if (key === 'position')
      return { name: `Point ${Number(rest[2]) + 1}`, owner: path?.name ?? '', quantity: 'length' };
    const [name, quantity] = fieldWords(nth || !path ? [] : (curveKind(path.curve).fields ?? []), key);
    return { name: nth ? `${name}, ${nth}` : name, owner: path?.name ?? '', quantity };
  }
  if (root === 'guides') {
    const guide = project.guides.find((own) => own.id === id);
    const owner = guide?.name ?? '';
    if (key === 'position') return { name: 'Place', owner, quantity: 'length' };
    if (key === 'turn') return { name: 'Turn', owner, quantity: 'angle' };
    const fields = guide?.shape.from === 'body' ? guideBody(guide.shape.kind).fields : [];
    return { name: fields.find((own) => own.key === key)?.label ?? key, owner, quantity: 'length' };
  }
  if (root === 'segments') {
    const segment = project.segments.find((own) => own.id === id);
    const made = rest[0] === 'source' && segment?.source.from === 'maker' ? segment.source.spec : undefined;
    const [name, quantity] = fieldWords(made ? maker(made.kind).fields : [], key);
    return { name, owner: segment?.name ?? '', quantity };
  }
  const run = project.runs.find((own) => own.id === id);
  const course = rest[0] === 'courses' && run ? courseOf(run, rest[1]) : undefined;
  const fields = course && rest[2] === 'laying' ? layingRule(course.laying.rule).fields : [];
  const [name, quantity] = fieldWords(fields, key);
  const owner = course && run!.courses.length > 1 ? courseName(project, course) : (run?.name ?? '');
  return { name, owner, quantity };
}
