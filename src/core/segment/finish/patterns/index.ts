import { asphalt } from './asphalt';
import { bark } from './bark';
import { brushed } from './brushed';
import { fibre } from './fibre';
import { grass } from './grass';
import { planks } from './planks';
import { ribs } from './ribs';
import { sand } from './sand';
import { stones } from './stones';
import { stripes } from './stripes';
import { weave } from './weave';

/** In the order in which people are shown them. */
export const patterns = { fibre, weave, ribs, asphalt, brushed, bark, stripes, planks, stones, grass, sand };
