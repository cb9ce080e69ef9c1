import { blunt } from './blunt';
import { pointed } from './pointed';
import { rounded } from './rounded';
import { neck } from './neck';
import { swelling } from './swelling';
import { wave } from './wave';

/** In the order in which people are shown them. */
export const profiles = { pointed, rounded, blunt, swelling, neck, wave };
