'use client';

import { Box, ButtonBase } from '@mui/material';
import { useState } from 'react';
import { smallSamples, type SmallSample } from '../../project/samples';
import { SmallPicture } from '../pictures/SmallPicture';
import { useOpenSample } from './use-open-sample';

/** Pixels of a picture. */
const [WIDE, HIGH] = [112, 62];

/** Small samples, one a job, as pictures; opened, each says what to try. */
export function SampleCards({ onOpened }: { onOpened?: () => void }) {
  const openSample = useOpenSample();
  const [samples] = useState(smallSamples);
  const open = async (sample: SmallSample) => {
    if (await openSample(sample)) onOpened?.();
  };
  return (
    <Box
      role="group"
      aria-label="Samples"
      sx={{ display: 'grid', gridTemplateColumns: `repeat(4, ${WIDE}px)`, gap: 3 }}
    >
      {samples.map((sample) => (
        <ButtonBase
          key={sample.name}
          aria-label={sample.name}
          title={sample.tryThis}
          onClick={() => void open(sample)}
          sx={{
            ...{ flexDirection: 'column', alignItems: 'stretch', textAlign: 'left', fontSize: 12, borderRadius: 1 },
            '&:hover > div:first-of-type': { boxShadow: 'inset 0 0 0 2px var(--mui-palette-primary-main)' },
          }}
        >
          <SmallPicture project={sample.project} name={`sample ${sample.name}`} width={WIDE} height={HIGH} />
          <span>{sample.name}</span>
        </ButtonBase>
      ))}
    </Box>
  );
}
