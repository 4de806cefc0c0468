import { useRouteLoaderData } from 'react-router';
import type { Right } from '~/core/rights/rights';
import type { loader as rootLoader } from '../root';

/** What the person who looks may do on the source that the page is about. What one may not do is not offered. */
export function useAllowed(): (right: Right) => boolean {
  const data = useRouteLoaderData<() => { readonly allowed: readonly Right[] }>('routes/source/route');
  return (right) => data?.allowed.includes(right) ?? false;
}

/** Who is signed in; null on the pages that lead in. */
export function usePerson() {
  return useRouteLoaderData<typeof rootLoader>('root') ?? null;
}

/** Who sees rows of the source that the page is about, for one who does not. */
export function useWhoSeesRows(): string {
  const data = useRouteLoaderData<() => { readonly source: { readonly sensitive: boolean } }>('routes/source/route');
  return data?.source.sensitive
    ? 'Its rows are shown to nobody: the source is marked sensitive.'
    : 'Its rows are shown to who may see rows of data here.';
}
