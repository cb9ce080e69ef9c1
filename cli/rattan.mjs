#!/usr/bin/env node
// The program is TypeScript; tsx runs it as it is, so that the command needs no build.
import { register } from 'tsx/esm/api';

register();
const { main } = await import('./main.ts');
process.exitCode = await main(process.argv.slice(2));
