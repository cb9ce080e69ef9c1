export { causeway, saltgrassLanding } from './saltgrass-landing';
export { smallSamples, type SmallSample } from './small-samples';
