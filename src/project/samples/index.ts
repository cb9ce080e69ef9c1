export { causeway, saltgrassLanding } from './saltgrass-landing';
