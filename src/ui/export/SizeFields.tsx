'use client';

import { useState } from 'react';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';

/** Pixels of a side, of one picture and of many. */
const MOST = 8192;
const MOST_OF_MANY = 4096;
const OWN = 'own';

const SIZES: readonly { value: string; label: string; isLarge?: boolean }[] = [
  { value: '640x360', label: '640 × 360' },
  { value: '1280x720', label: '1280 × 720' },
  { value: '1920x1080', label: '1920 × 1080' },
  { value: '1080x1080', label: '1080 × 1080' },
  { value: '1080x1920', label: '1080 × 1920' },
  { value: '3840x2160', label: '3840 × 2160' },
  { value: '7680x4320', label: '7680 × 4320', isLarge: true },
  { value: OWN, label: 'of your own' },
];

export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

export interface SizeFieldsProps {
  /** Many pictures are no larger than films can be. */
  readonly isOne: boolean;
  readonly value: PictureSize;
  readonly onChange: (value: PictureSize) => void;
}

export const SIZE_DEFAULTS: PictureSize = { width: 1920, height: 1080 };

/** A size that pictures of this many may have: even numbers of pixels, as films need. */
export function fittedSize({ width, height }: PictureSize, isOne: boolean): PictureSize {
  const fitted = (side: number) => Math.min(Math.round(side / 2) * 2, isOne ? MOST : MOST_OF_MANY);
  return { width: fitted(width), height: fitted(height) };
}

/** How many pixels a picture has: one of the usual sizes, or any other. */
export function SizeFields({ isOne, value, onChange }: SizeFieldsProps) {
  const [isOwn, setOwn] = useState(false);
  const sizes = SIZES.filter(({ isLarge }) => isOne || !isLarge);
  const { width, height } = fittedSize(value, isOne);
  const shown = `${width}x${height}`;
  const choose = (size: string) => {
    setOwn(size === OWN);
    if (size === OWN) return;
    const [wide, high] = size.split('x').map(Number);
    onChange({ width: wide, height: high });
  };
  const isListed = !isOwn && sizes.some((size) => size.value === shown);
  const side = { quantity: 'plain', step: 2, min: 16, max: isOne ? MOST : MOST_OF_MANY } as const;
  return (
    <>
      <ChoiceField label="Pixels" value={isListed ? shown : OWN} choices={sizes} onChange={choose} />
      {!isListed && (
        <>
          <NumberField
            label="Wide"
            {...side}
            value={width}
            initial={SIZE_DEFAULTS.width}
            onChange={(wide) => onChange(fittedSize({ width: wide, height }, isOne))}
          />
          <NumberField
            label="High"
            {...side}
            value={height}
            initial={SIZE_DEFAULTS.height}
            onChange={(high) => onChange(fittedSize({ width, height: high }, isOne))}
          />
        </>
      )}
    </>
  );
}
