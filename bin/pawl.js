#!/usr/bin/env node
// Runs the terminal commands. What they are built from is TypeScript: after a change, or the first time, that takes a second more.
import { pathToFileURL } from 'node:url';
import { program } from '../scripts/programs.mjs';

await import(pathToFileURL(await program('terminal')).href);
