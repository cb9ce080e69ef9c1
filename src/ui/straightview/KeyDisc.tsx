import type { ComponentProps } from 'react';

interface KeyDiscProps extends ComponentProps<'circle'> {
  readonly isChosen?: boolean;
}

/** A disc on a lane to be dragged: a key of a value, or a station. */
export const KeyDisc = ({ isChosen = false, style, ...rest }: KeyDiscProps) => (
  <circle
    role="slider"
    tabIndex={0}
    r={5}
    fill={isChosen ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-background-paper)'}
    stroke="var(--mui-palette-primary-main)"
    strokeWidth={1.75}
    className="key-disc"
    style={{ cursor: 'move', touchAction: 'none', ...style }}
    {...rest}
  />
);
