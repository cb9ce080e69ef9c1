'use client';

import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { FinishSpec, TextureSpec } from '../../core/segment/finish/finish-spec';
import { PATTERNS } from '../../core/segment/finish/registry';
import { clearFinish, setFinish } from '../../project/commands/segments';
import { ChoiceField } from '../fields/ChoiceField';
import { ColourField } from '../fields/ColourField';
import { MadeForKeys } from '../fields/HasKeys';
import { NumberField } from '../fields/NumberField';
import { useEdit } from '../state/app-context';
import { finishAsBrought } from './finish-as-brought';
import { ImageButton } from './ImageButton';
import { TextureFields } from './TextureFields';
import type { PrepareFieldsProps } from './TurnFields';

/** How each part of the segment looks: colour, roughness, metal, and an image or a pattern over it. */
export function FinishFields({ segment, view }: PrepareFieldsProps) {
  const edit = useEdit();
  const [chosen, setChosen] = useState<string>();
  if (!view) return null;
  const names = [...new Set(view.parts.map(({ name }) => name))];
  const part = chosen && names.includes(chosen) ? chosen : names[0];
  const own = segment.finishes.find((finish) => finish.part === part);
  const finish = own ?? finishAsBrought(view.surface, view.parts, part);
  const put = (change: Partial<FinishSpec>) =>
    edit((project) => setFinish(project, segment.id, { ...finish, ...change }));
  const keys = ['segments', segment.id, 'finishes', part];
  const shares = { quantity: 'percent', step: 0.05, min: 0, max: 1 } as const;
  const texture = (choice: string) => {
    if (choice === 'none') put({ texture: null });
    else if (choice !== 'image') {
      const pattern = choice as (typeof PATTERNS)[number]['kind'];
      const before = finish.texture?.from === 'pattern' ? finish.texture : { seed: 1, contrast: 0.5 };
      const next: TextureSpec = { from: 'pattern', pattern, seed: before.seed, contrast: before.contrast };
      put({
        texture: next,
        repeat: finish.texture ? finish.repeat : Math.max(Number((view.length / 4).toPrecision(2)), 0.01),
      });
    }
  };
  const kinds = [
    { value: 'none', label: 'none' },
    ...PATTERNS.map(({ kind, label }) => ({ value: kind, label })),
    ...(finish.texture?.from === 'image' ? [{ value: 'image', label: finish.texture.fileName }] : []),
  ];
  const kind = finish.texture === null ? 'none' : finish.texture.from === 'image' ? 'image' : finish.texture.pattern;
  return (
    <Box>
      <ChoiceField
        label="Part"
        value={part}
        choices={names.map((name) => ({ value: name, label: name }))}
        onChange={setChosen}
      />
      <MadeForKeys make={own ? undefined : () => put({})}>
        <ColourField
          label="Colour"
          of={[...keys, 'colour']}
          value={finish.colour}
          onChange={(colour) => put({ colour })}
        />
        {(
          [
            ['roughness', 'Roughness'],
            ['metalness', 'Metal'],
          ] as const
        ).map(([field, label]) => (
          <NumberField
            key={field}
            label={label}
            of={[...keys, field]}
            {...shares}
            value={finish[field]}
            initial={finishAsBrought(view.surface, view.parts, part)[field]}
            onChange={(value) => put({ [field]: value })}
          />
        ))}
      </MadeForKeys>
      <ChoiceField label="Pattern" value={kind} choices={kinds} onChange={texture} />
      <ImageButton onBrought={(image) => put({ texture: image })} />
      {finish.texture && <TextureFields finish={finish} texture={finish.texture} keys={keys} onChange={put} />}
      {own && (
        <Button
          size="small"
          variant="text"
          color="secondary"
          sx={{ mx: -2, mt: 2 }}
          onClick={() => edit((project) => clearFinish(project, segment.id, part))}
        >
          Reset to the segment’s own
        </Button>
      )}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 2 }}>
        What is shown here goes into the GLB.
      </Typography>
    </Box>
  );
}
