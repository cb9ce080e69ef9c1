import { setConsoleFunction } from 'three';

/** Notices about three's own parts that react-three-fiber still uses; nothing that this app could change. */
const KNOWN = ['THREE.Clock: This module has been deprecated'];

setConsoleFunction((level, message, ...rest) => {
  if (KNOWN.some((start) => message.startsWith(start))) return;
  // eslint-disable-next-line no-console -- what three has to say goes where it would have gone
  console[level](message, ...rest);
});
