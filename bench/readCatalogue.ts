// Reads a catalogue in a process of its own, and says how long that took and the memory it took at most.

import { parseConnectionString as parseMariadb } from '../src/sources/mariadb/connectionString';
import { openSource as openMariadb } from '../src/sources/mariadb/reader';
import { parseConnectionString } from '../src/sources/postgresql/connectionString';
import { openSource } from '../src/sources/postgresql/reader';

const url = process.argv[2] ?? '';
const before = process.resourceUsage().maxRSS;
const started = process.hrtime.bigint();
const source = await (url.startsWith('mariadb:') ? openMariadb(parseMariadb(url)) : openSource(parseConnectionString(url)));
const { tables } = await source.readCatalogue();
const ms = Number(process.hrtime.bigint() - started) / 1e6;
await source.close();
console.log(JSON.stringify({ tables: tables.length, ms, mb: process.resourceUsage().maxRSS / 1024, beforeMb: before / 1024 }));
