/** Of several that are chosen the first is the one whose fields are shown. */
type Chosen = readonly string[];

/** What is meant when something is done to one of a list: all that are chosen, where that is among them. */
export const meantBy = (chosen: Chosen, id: string): Chosen => (chosen.includes(id) ? chosen : [id]);

/** What is chosen after one more is, or after it is let go of. */
export const toggled = (chosen: Chosen, id: string): Chosen =>
  chosen.includes(id) ? chosen.filter((other) => other !== id) : [id, ...chosen];
