export { saltgrassLanding } from './saltgrass-landing';
