import { bank } from './bank';
import { thin } from './thin';

export const followers = { bank, thin };
