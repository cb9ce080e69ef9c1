import { z } from 'zod';
import { paint } from '../colour';
import { toSection } from '../cross-section';
import { extrudeOutline, type SectionPoint, type Strip } from '../extrude';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';

const MATERIALS = [
  paint('Asphalt', '#64676b', 0.93),
  paint('Marking', '#efece2', 0.7),
  paint('Kerb', '#cfc7b6', 0.85),
  paint('Bank', '#b5a78d', 0.97),
];
const [ASPHALT, MARKING, KERB, BANK] = [0, 1, 2, 3];
/** Fall from the crown to the edge: 2.5 % (common practice, no source). */
const CROSSFALL = 0.025;
const LINE_WIDTH = 0.12;
const KERB_WIDTH = 0.26;
const KERB_HEIGHT = 0.12;
const BEVEL = 0.03;

/** A two-lane road with kerbs on a bank of its own; the crown's middle is on the path. One dash of centre line a piece. */
export const kerbedLane = defineMaker({
  kind: 'kerbedLane',
  label: 'Kerbed road',
  hint: 'Two lanes, lines, kerbs and a bank',
  group: 'roads',
  schema: z.strictObject({
    kind: z.literal('kerbedLane'),
    length: z.number().min(0.2).max(100),
    laneWidth: z.number().min(0.5).max(20),
    bankHeight: z.number().min(0.15).max(20),
    /** One dash of it a piece; a course of dashes may take its place. */
    centreLine: z.boolean().optional(),
  }),
  defaults: { kind: 'kerbedLane', length: 4, laneWidth: 3.2, bankHeight: 0.9, centreLine: true },
  fields: [
    metresField('length', 'Length', 0.1),
    metresField('laneWidth', 'Lane width', 0.1),
    metresField('bankHeight', 'Bank height', 0.1),
    { input: 'switch', key: 'centreLine', label: 'Centre line' },
  ],
  toSection: (spec) => toSection(...outlineOf(spec), MATERIALS),
  make(spec) {
    const [outline, strips] = outlineOf(spec);
    const { length } = spec;
    return extrudeOutline(outline, strips, [0, length / 4, (length * 3) / 4, length], MATERIALS, BANK);
  },
});

interface LaneSizes {
  readonly laneWidth: number;
  readonly bankHeight: number;
  readonly centreLine?: boolean | undefined;
}

function outlineOf({ laneWidth, bankHeight, centreLine = true }: LaneSizes): [SectionPoint[], Strip[]] {
  const edge = -laneWidth * CROSSFALL;
  const top = edge + KERB_HEIGHT;
  const back = laneWidth + KERB_WIDTH;
  const y = (zz: number) => -zz * CROSSFALL;
  const lineIn = laneWidth - 0.2 - LINE_WIDTH;
  const half = LINE_WIDTH / 2;
  // The right half from the crown outwards; the left half mirrors it.
  const right: [SectionPoint, number, string][] = [
    [[half, y(half)], ASPHALT, 'Carriageway'],
    [[lineIn, y(lineIn)], MARKING, 'Edge lines'],
    [[lineIn + LINE_WIDTH, y(lineIn + LINE_WIDTH)], ASPHALT, 'Carriageway'],
    [[laneWidth, edge], KERB, 'Kerbs'],
    [[laneWidth + 0.02, top - BEVEL], KERB, 'Kerbs'],
    [[laneWidth + 0.02 + BEVEL, top], KERB, 'Kerbs'],
    [[back, top], BANK, 'Bank'],
    [[back + 0.35, top - 0.06], BANK, 'Bank'],
    [[back + 0.35 + (bankHeight - 0.1) * 0.45, -bankHeight], BANK, 'Bank'],
  ];
  const left = right.map(([[zz, yy]], i) => {
    const previous = right[i - 1];
    return [[-zz, yy], previous ? previous[1] : MARKING, previous ? previous[2] : ''] as const;
  });
  const outline = [...left.map(([p]) => p).reverse(), ...right.map(([p]) => p)];
  const strips: Strip[] = [
    ...left
      .slice(1)
      .map(([, material, part]) => ({ part, material }))
      .reverse(),
    centreLine
      ? { part: 'Centre line', material: [ASPHALT, MARKING, ASPHALT] }
      : { part: 'Carriageway', material: ASPHALT },
    ...right.map(([, material, part]) => ({ part, material })),
  ];
  return [outline, strips];
}
