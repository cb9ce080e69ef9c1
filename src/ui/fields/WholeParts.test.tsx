/** @jest-environment ./scripts/page-environment.mjs */
import { render } from '@testing-library/react';
import { WholeParts } from './WholeParts';

describe('words of which whole parts are left out', () => {
  it('read as they are written', () => {
    const words = 'beam, 3.00 m, pitch 0.17 m';
    expect(render(<WholeParts text={words} />).container.textContent).toBe(words);
  });

  it('are cut before each comma, and nowhere else', () => {
    const { container } = render(<WholeParts text="1 piece, off by 0.00 %, even" isAtEnd />);
    const parts = [...container.querySelectorAll('span span')];
    expect(parts.map(({ textContent }) => textContent)).toEqual(['1 piece', ', off by 0.00 %', ', even']);
    for (const part of parts) expect(getComputedStyle(part).whiteSpace).toBe('nowrap');
  });

  it('may be none', () => {
    expect(render(<WholeParts text="" />).container.textContent).toBe('');
  });
});
