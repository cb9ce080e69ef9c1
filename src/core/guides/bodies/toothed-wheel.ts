import { defineGuideBody } from '../guide-body';
import { prismBody } from '../prism-body';
import { toothForm } from '../tooth-form';

export const toothedWheel = defineGuideBody({
  kind: 'toothedWheel',
  label: 'Toothed wheel',
  hint: 'Carries links by its teeth; it lies flat about its middle',
  fields: [
    { key: 'teeth', label: 'Teeth', initial: 12, isCount: true },
    { key: 'pitch', label: 'Pitch', initial: 0.1 },
    { key: 'thickness', label: 'Thickness', initial: 0.04 },
  ],
  build: (size) => prismBody(toothForm(size('teeth'), size('pitch')), size('thickness')),
});
