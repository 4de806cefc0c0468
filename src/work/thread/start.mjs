// Starts a thread for long computations, built as the other programs are.
import { pathToFileURL } from 'node:url';
import { program } from '../../../scripts/programs.mjs';

await import(pathToFileURL(await program('thread')).href);
