import { href, type Register } from 'react-router';

type Pages = Register extends { pages: infer Known } ? Known : never;

/** What stands for the parts of an address that differ; numbers as they are. */
type Filling<Params> = { readonly [Part in keyof Params]: string | number };

/** The address of a page that there is, by what stands in it: a route that is gone, or a part that is forgotten, does not compile. */
export function pathTo<Path extends keyof Pages>(
  path: Path,
  parts: Filling<Pages[Path] extends { params: infer P } ? P : never>,
): string {
  const encoded = Object.fromEntries(Object.entries(parts).map(([part, value]) => [part, encodeURIComponent(String(value))]));
  return (href as (path: string, params: Readonly<Record<string, string>>) => string)(path, encoded);
}
