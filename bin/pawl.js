#!/usr/bin/env node
// Runs the terminal commands straight from their TypeScript sources: no build is needed after npm ci.
import { register } from 'tsx/esm/api';

register();
await import('../src/cli/main.ts');
