import '../jitless';
import { expose } from 'comlink';
import { saveProject } from './projects';

expose({ save: saveProject });
