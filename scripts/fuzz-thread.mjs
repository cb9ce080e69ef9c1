// A thread in which damaged files are read: one that hangs is ended with it.
import { register } from 'tsx/esm/api';

register();
const { fuzzCase } = await import('../src/formats/testing/fuzz-case.ts');

export default fuzzCase;
