interface Match {
  readonly loaderData?: unknown;
}

/** What a browser calls a page: what it is of, then the source that it is about. */
export function titled(part: string | null, matches: readonly (Match | undefined)[] = []) {
  const names = matches.flatMap((match) => nameOf(match?.loaderData) ?? []);
  return [{ title: [...(part === null ? [] : [part]), ...names.slice(0, 1), 'Pawl'].join(' · ') }];
}

function nameOf(data: unknown): string | null {
  if (typeof data !== 'object' || data === null || !('source' in data)) return null;
  const { source } = data;
  return typeof source === 'object' && source !== null && 'name' in source && typeof source.name === 'string'
    ? source.name
    : null;
}
