/** The colours of the look, light and dark. Names as in the documentation; text on the sheet has a contrast of 4.5 or more. */
export const TOKENS = {
  light: {
    paper: '#F6F1E7',
    ground: '#E6E0D2',
    sheet: '#FFFCF5',
    line: '#DDD2BF',
    ink: '#22303A',
    soft: '#5F6B70',
    cane: '#B27A36',
    caneText: '#8A5A22',
    leaf: '#2F6B4F',
    leafWash: '#DCE9DF',
    madder: '#A63A2B',
    sky: '#3A6D8C',
  },
  dark: {
    paper: '#151C20',
    ground: '#20292D',
    sheet: '#1C2529',
    line: '#37434A',
    ink: '#E9E2D3',
    soft: '#A9B2B0',
    cane: '#D9A866',
    caneText: '#D9A866',
    leaf: '#7FBF9B',
    leafWash: '#263C34',
    madder: '#E58A78',
    sky: '#8DBBD6',
  },
} as const;

export type TokenName = keyof (typeof TOKENS)['light'];
