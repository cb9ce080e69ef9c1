'use client';

import { useApp } from '../state/app-context';

import ImageOutlined from '@mui/icons-material/ImageOutlined';
import { Button } from '@mui/material';
import { useRef } from 'react';
import type { TextureSpec } from '../../core/segment/finish/finish-spec';
import { bringImage } from '../../engine/bring-image';
import { saveAsset } from '../../project/storage/assets';

/** Brings an image to lay over a part. */
export function ImageButton({ onBrought }: { onBrought: (texture: TextureSpec) => void }) {
  const { tell } = useApp();
  const input = useRef<HTMLInputElement>(null);
  const bring = async (file: File) => {
    const bytes = new Uint8Array(await file.arrayBuffer());
    const result = await bringImage({ name: file.name, bytes });
    const kept = result.ok ? await saveAsset(result.value.asset, bytes) : result;
    if (!kept.ok) tell.problems(kept.problems);
    else if (result.ok) onBrought(result.value);
  };
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        color="secondary"
        startIcon={<ImageOutlined />}
        onClick={() => input.current?.click()}
      >
        Bring an image
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        aria-label="Bring an image"
        accept=".png,.jpg,.jpeg,.webp"
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void bring(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
