export { causeway } from './causeway';
export { saltgrassLanding } from './saltgrass-landing';
export { smallSamples, type SmallSample } from './small-samples';
