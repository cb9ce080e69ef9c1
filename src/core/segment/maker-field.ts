interface FieldBase {
  readonly key: string;
  readonly label: string;
  /** Whether the value counts with the others as they are; absent = always. */
  readonly appliesTo?: (spec: Readonly<Record<string, unknown>>) => boolean;
}

/** A value of a maker as a form shows it. Angles are radians in the spec. */
export type MakerField = FieldBase &
  (
    | { readonly input: 'number'; readonly unit: 'm' | 'count' | 'angle' | 'ratio' | 'share'; readonly step: number }
    | { readonly input: 'choice'; readonly choices: readonly { readonly value: string; readonly label: string }[] }
    | { readonly input: 'switch' }
  );

export const metresField = (key: string, label: string, step: number): MakerField => ({
  input: 'number',
  key,
  label,
  unit: 'm',
  step,
});

export const countField = (key: string, label: string): MakerField => ({
  input: 'number',
  key,
  label,
  unit: 'count',
  step: 1,
});

/** S or Z: the way in which strands, cords and wire wind. */
export const windingField = (label: string): MakerField => ({
  input: 'choice',
  key: 'direction',
  label,
  choices: [
    { value: 'Z', label: 'Z, right-handed' },
    { value: 'S', label: 'S, left-handed' },
  ],
});
