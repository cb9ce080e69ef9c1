import type { ToolName } from '../state/session-store';

/** What a tool is called, what it is for, and what it waits for while it is in hand. */
interface ToolWords {
  readonly label: string;
  readonly hint: string;
  readonly waits: string;
}

/** In the order in which people are shown them. */
export const TOOL_WORDS: Readonly<Record<ToolName, ToolWords>> = {
  shape: {
    label: 'Shape path',
    hint: 'Drag points along the ground, with Shift up and down. Click on the path for a new point. While you drag, Space steps through what holds the point, and a number says how far.',
    waits: '',
  },
  choose: {
    label: 'Select by box',
    hint: 'Draw a box round points to choose several; Ctrl adds.',
    waits: 'Draw a box round points; with Ctrl it adds to those chosen. Enter ends.',
  },
  pen: {
    label: 'Pen',
    hint: 'Click in the view for one point after another. Enter ends.',
    waits:
      'Click for the next point; on the first one to close. Backspace takes one back. Enter or a double click ends.',
  },
  freehand: {
    label: 'Freehand',
    hint: 'Draw the path in one stroke, on the ground or over a guide.',
    waits:
      'Draw on the ground or over a guide. From an end the path goes on; from the path to the path that part is drawn anew.',
  },
  ring: {
    label: 'Ring',
    hint: 'Click on the path for a ring there: turn it to roll the run, pull its two grips to swell it.',
    waits: 'Click on the path to put the ring there. Turn it to roll the run; pull its grips to swell it. Enter ends.',
  },
  ruler: {
    label: 'Ruler',
    hint: 'Click on two places to measure between them.',
    waits: 'Click on two places to measure between them. Enter ends.',
  },
};

export const TOOLS = Object.keys(TOOL_WORDS) as readonly ToolName[];
