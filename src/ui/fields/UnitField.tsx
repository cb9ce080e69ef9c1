import { ChoiceField } from './ChoiceField';

const UNITS = [
  { metres: 1, label: 'metres' },
  { metres: 0.01, label: 'centimetres' },
  { metres: 0.001, label: 'millimetres' },
  { metres: 0.0254, label: 'inches' },
  { metres: 0.3048, label: 'feet' },
  { metres: 1000, label: 'kilometres' },
];

const namedUnit = (unit: number): number | undefined =>
  UNITS.find(({ metres }) => Math.abs(metres - unit) < metres * 1e-9)?.metres;

/** "centimetres"; a unit without a name in metres. */
export const unitName = (unit: number): string =>
  UNITS.find(({ metres }) => metres === namedUnit(unit))?.label ?? `${Number(unit.toPrecision(6))} m`;

/** Whether a unit has a name here. */
export const isNamedUnit = (unit: number): boolean => namedUnit(unit) !== undefined;

/** What a file's numbers count, in metres; a unit without a name is listed as it is. */
export function UnitField(props: { label: string; value: number; onChange: (metres: number) => void }) {
  const { label, value, onChange } = props;
  const named = namedUnit(value);
  const own = { value: String(value), label: `${Number(value.toPrecision(6))} m` };
  return (
    <ChoiceField
      label={label}
      value={String(named ?? value)}
      choices={[
        ...UNITS.map(({ metres, label: name }) => ({ value: String(metres), label: name })),
        ...(named === undefined ? [own] : []),
      ]}
      onChange={(chosen) => onChange(Number(chosen))}
    />
  );
}
