/** All keys, by where they work. Only editing keys that browsers share with programs are taken: undo, redo, copy, paste, all. */
export const KEY_LIST: readonly { readonly where: string; readonly keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Anywhere',
    keys: [
      ['Ctrl Z', 'undo'],
      ['Ctrl Shift Z, Ctrl Y', 'redo'],
      ['Ctrl A', 'choose all points of the path'],
      ['Ctrl C, Ctrl V', 'copy the chosen points, put them in'],
      ['Delete, Backspace', 'delete the chosen points, or the chosen guide'],
      ['W, T', 'frame the whole; frame this run, or the chosen guide'],
      ['Space', 'play, stop'],
      ['C', 'all commands, found by typing'],
      ['R', 'show only the result, and all again'],
      ['Escape', 'let go of what is chosen, leave a tool'],
      ['?', 'this list'],
    ],
  },
  {
    where: 'Drawing with the pen',
    keys: [
      ['Arrows', 'move the place mark, with Shift finely'],
      ['Enter', 'set a point there; once more, or without a mark, ends'],
      ['Backspace', 'take the last point back'],
      ['Escape', 'end; what is drawn stays'],
    ],
  },
  {
    where: 'In the list of runs',
    keys: [
      ['F2', 'rename'],
      ['D', 'duplicate on the same path'],
      ['Ctrl with a click', 'choose one more'],
    ],
  },
  {
    where: 'On a point',
    keys: [
      ['Tab', 'to the next point'],
      ['Arrows', 'move it by 0.1 m, with Shift up and down'],
      ['Delete', 'take it away'],
    ],
  },
  {
    where: 'While something is dragged',
    keys: [
      ['Space', 'step through what holds it: free, level, along the path, across it, up'],
      ['A number', 'how far; units may follow, as in 25 cm'],
      ['Shift', 'up and down'],
      ['Enter', 'leave it there'],
      ['Escape', 'put it back'],
    ],
  },
  {
    where: 'On a key, in the straight view over time',
    keys: [
      ['Arrow left, right', 'a frame earlier, later'],
      ['Arrow up, down', 'more, less'],
      ['Shift with a click', 'choose one more'],
      ['Ctrl C, Ctrl V', 'copy the chosen keys, set them from the current time on'],
      ['Enter', 'go to its time'],
      ['Delete', 'take it away'],
    ],
  },
  {
    where: 'In the straight view',
    keys: [
      ['Wheel, + and -', 'closer, farther; 0 shows all of it'],
      ['Shift with the wheel, Arrow left, right', 'move along'],
    ],
  },
  {
    where: 'On a key of a lane',
    keys: [
      ['Arrow left, right', 'along the run'],
      ['Arrow up, down', 'more, less'],
      ['Shift with a click', 'choose one more'],
      ['Delete', 'take it away'],
    ],
  },
  {
    where: 'In a number field',
    keys: [
      ['Arrow up, down', 'more, less; with Shift ten times'],
      ['Enter', 'take what is typed'],
      ['Escape', 'take back what was typed'],
    ],
  },
];
