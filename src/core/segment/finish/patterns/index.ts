import { asphalt } from './asphalt';
import { bark } from './bark';
import { brushed } from './brushed';
import { fibre } from './fibre';
import { ribs } from './ribs';
import { stripes } from './stripes';
import { weave } from './weave';

/** In the order in which people are shown them. */
export const patterns = { fibre, weave, ribs, asphalt, brushed, bark, stripes };
