const bytes = 64 * 1024 * 1024;

/** A query that keeps a set of keys in memory: with the usual 16 MB the server puts it on disk, and takes three times as long. */
export function withMemory(query: string): string {
  return `set statement tmp_memory_table_size = ${bytes}, max_heap_table_size = ${bytes} for ${query}`;
}
