'use client';

import { PLAIN_FINISH } from '../../project/defaults';
import type { PlainFinish, TextureSpec } from '../../core/segment/finish/finish-spec';
import { PATTERNS, type PatternName } from '../../core/segment/finish/registry';
import { ChoiceField } from './ChoiceField';
import { ColourField } from './ColourField';
import { NumberField } from './NumberField';

/** Metres that a pattern's repeat covers to begin with. */
const REPEAT = 1.5;
const CONTRAST = 0.45;

/** How something looks that has no parts; with an image of its own it has no pattern beside that. */
export function PlainFinishFields({
  finish,
  hasImage = false,
  onChange,
}: {
  finish: PlainFinish;
  hasImage?: boolean;
  onChange: (next: PlainFinish) => void;
}) {
  const { texture } = finish;
  const put = (change: Partial<PlainFinish>) => onChange({ ...finish, ...change });
  const choose = (kind: string) => {
    if (kind === 'none') return put({ texture: null });
    if (kind === 'image') return undefined;
    const before = texture?.from === 'pattern' ? texture : { seed: 1, contrast: CONTRAST };
    const next: TextureSpec = { ...before, from: 'pattern', pattern: kind as PatternName };
    put({ texture: next, repeat: texture ? finish.repeat : REPEAT });
  };
  const kind = texture === null ? 'none' : texture.from === 'image' ? 'image' : texture.pattern;
  const kinds = [
    { value: 'none', label: 'none' },
    ...PATTERNS.map((own) => ({ value: own.kind, label: own.label })),
    ...(texture?.from === 'image' ? [{ value: 'image', label: texture.fileName }] : []),
  ];
  return (
    <>
      <ColourField label="Colour" value={finish.colour} onChange={(colour) => put({ colour })} />
      <NumberField
        label="Roughness"
        quantity="percent"
        step={0.05}
        min={0}
        max={1}
        value={finish.roughness}
        initial={PLAIN_FINISH.roughness}
        onChange={(roughness) => put({ roughness })}
      />
      {!hasImage && <ChoiceField label="Pattern" value={kind} choices={kinds} onChange={choose} />}
      {(texture ?? hasImage) && (
        <NumberField
          label="One repeat is"
          quantity="length"
          step={0.1}
          min={1e-3}
          max={1e4}
          value={finish.repeat}
          initial={REPEAT}
          onChange={(repeat) => put({ repeat })}
        />
      )}
    </>
  );
}
