/** Most pieces that one course may have. */
export const MAX_PIECES = 100_000;
