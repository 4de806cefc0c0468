// Reads a catalogue in a process of its own, and says how long that took and the memory it took at most.

import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';

const before = process.resourceUsage().maxRSS;
const started = process.hrtime.bigint();
const source = await openSource(parseConnectionString(process.argv[2] ?? ''));
const { tables } = await source.readCatalogue();
const ms = Number(process.hrtime.bigint() - started) / 1e6;
await source.close();
console.log(JSON.stringify({ tables: tables.length, ms, mb: process.resourceUsage().maxRSS / 1024, beforeMb: before / 1024 }));
