#!/usr/bin/env node
// Runs the terminal commands. What they are built from is TypeScript: after a change, or the first time, that takes a second more.
import { pathToFileURL } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import { frugalHeap, program } from '../scripts/programs.mjs';

for (const flag of frugalHeap) setFlagsFromString(flag);

await import(pathToFileURL(await program('terminal')).href);
