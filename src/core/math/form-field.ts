interface FieldBase {
  readonly key: string;
  readonly label: string;
  /** Few people need it: it is shown behind the others. */
  readonly isSeldom?: boolean;
  /** Whether the value counts with the others as they are; absent = always. */
  readonly appliesTo?: (spec: Readonly<Record<string, unknown>>) => boolean;
}

/** A value that a form asks for, of a maker, a rule or another kind. Angles are radians in the spec. */
export type FormField = FieldBase &
  (
    | {
        readonly input: 'number';
        readonly unit: 'm' | 'm/s' | 's' | 'count' | 'angle' | 'ratio' | 'share';
        readonly step: number;
        /** Values beyond these are brought back to them. */
        readonly least?: number;
        readonly most?: number;
      }
    | { readonly input: 'choice'; readonly choices: readonly { readonly value: string; readonly label: string }[] }
    | { readonly input: 'switch' }
    /** Several numbers. */
    | { readonly input: 'list'; readonly unit: 'm' | 'count' }
    | { readonly input: 'text' }
  );

export const metresField = (key: string, label: string, step: number): Extract<FormField, { input: 'number' }> => ({
  input: 'number',
  key,
  label,
  unit: 'm',
  step,
});

export const countField = (key: string, label: string): Extract<FormField, { input: 'number' }> => ({
  input: 'number',
  key,
  label,
  unit: 'count',
  step: 1,
});

/** S or Z: the way in which strands, cords and wire wind. */
export const windingField = (label: string): FormField => ({
  input: 'choice',
  key: 'direction',
  label,
  choices: [
    { value: 'Z', label: 'Z, right-handed' },
    { value: 'S', label: 'S, left-handed' },
  ],
});
