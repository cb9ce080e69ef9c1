'use client';

import { Box, Typography } from '@mui/material';
import { useState } from 'react';
import { MASKS, maskOf, type MaskName } from '../../core/mesh/mask-registry';
import type { CoatSpec } from '../../core/segment/finish/finish-spec';
import { setCoat } from '../../project/commands/dressing';
import { PLAIN_FINISH } from '../../project/defaults';
import { ChoiceField } from '../fields/ChoiceField';
import { KindFields } from '../fields/KindFields';
import { PlainFinishFields } from '../fields/PlainFinishFields';
import { finishAsBrought } from '../segment/finish-as-brought';
import { ImageButton } from '../segment/ImageButton';
import { useApp, useEdit } from '../state/app-context';
import { partNames, partsShown } from './part-names';
import type { StepProps } from '../ticket/step-props';

/** How a new coat looks: moss. */
const MOSS = { ...PLAIN_FINISH, colour: '#5d7a3a', roughness: 1 };

/** A second finish over a part of a segment, where a mask says. */
export function CoatFields({ segment, result }: Pick<StepProps, 'segment' | 'result'>) {
  const edit = useEdit();
  const { tell } = useApp();
  const [chosen, setChosen] = useState<string>();
  if (!result) return null;
  const parts = partsShown(result);
  const names = partNames(result);
  const covered = segment.finishes.find(({ part, coat }) => coat && names.includes(part))?.part;
  const part = chosen && names.includes(chosen) ? chosen : (covered ?? names[0]);
  if (part === undefined) return null;
  const finish = segment.finishes.find((own) => own.part === part) ?? finishAsBrought(result.surface, parts, part);
  const { coat } = finish;
  const put = (next: CoatSpec | undefined) => edit((project) => setCoat(project, segment.id, finish, next));
  return (
    <Box>
      {names.length > 1 && (
        <ChoiceField
          label="Part"
          value={part}
          choices={names.map((name) => ({ value: name, label: name }))}
          onChange={setChosen}
        />
      )}
      <ChoiceField
        label="A coat lies"
        value={coat?.mask.kind ?? 'none'}
        choices={[{ value: 'none', label: 'nowhere' }, ...MASKS.map(({ kind, label }) => ({ value: kind, label }))]}
        onChange={(kind: MaskName | 'none') =>
          put(kind === 'none' ? undefined : { finish: MOSS, ...coat, mask: maskOf({ kind }).defaults })
        }
      />
      {coat && (
        <>
          <KindFields
            kind={maskOf(coat.mask)}
            values={coat.mask}
            initial={maskOf(coat.mask).defaults}
            onChange={(mask) => put({ ...coat, mask })}
          />
          {coat.mask.kind === 'map' && coat.mask.asset !== null && (
            <Typography variant="body2" color="text.secondary" noWrap>
              It lies where {coat.mask.fileName} is light.
            </Typography>
          )}
          {coat.mask.kind === 'map' && (
            <ImageButton
              onBrought={(image) => {
                if (image.from !== 'image') return;
                const { asset, fileName, mime } = image;
                if (mime !== 'image/png') return tell.problems([{ code: 'image.not-png', path: [], facts: {} }]);
                put({ ...coat, mask: { kind: 'map', asset, fileName } });
              }}
            />
          )}
          <PlainFinishFields
            finish={coat.finish}
            hasImage={coat.mask.kind === 'map'}
            onChange={(next) => put({ ...coat, finish: next })}
          />
        </>
      )}
    </Box>
  );
}
