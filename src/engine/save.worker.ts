import '../project/jitless';
import { expose } from 'comlink';
import { holdLife } from './worker-life';
import { saveProject } from '../project/storage/projects';

expose({ save: saveProject });
holdLife();
