import { definePattern } from '../pattern';

const BOARDS = 6;
/** Of a board's width. */
const JOINT = 0.05;

/** Boards side by side along the length, with grain and dark joints. */
export const planks = definePattern({
  kind: 'planks',
  label: 'Planks',
  relief: 0.02,
  sample(u, v, noise) {
    const board = Math.floor(v * BOARDS);
    const across = v * BOARDS - board;
    const isJoint = Math.min(across, 1 - across) < JOINT;
    const grain = noise((u + board * 0.37) % 1, v, 5, 90);
    const own = noise((board + 0.5) / BOARDS, 0.5, BOARDS, 1);
    const height = isJoint ? 0 : 0.75 + 0.25 * grain;
    return { height, shade: isJoint ? 0 : 0.2 + 0.35 * own + 0.45 * grain, roughness: 0.85 + 0.15 * grain };
  },
});
