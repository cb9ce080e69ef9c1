import { arc } from './arc';
import { belt } from './belt';
import { controlPolygon } from './control-polygon';
import { eased } from './eased';
import { handles } from './handles';
import { hanging } from './hanging';
import { helix } from './helix';
import { mixed } from './mixed';
import { smooth } from './smooth';
import { straight } from './straight';

/** In the order in which people are shown them. */
export const kinds = { straight, smooth, handles, mixed, controlPolygon, eased, arc, helix, hanging, belt };
