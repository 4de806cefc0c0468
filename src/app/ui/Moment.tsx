import { ago, clock } from './format';

/** A moment as it is spoken of, with the exact time behind it. Server and browser may differ by a minute. */
export function Moment({ at }: { readonly at: string }) {
  return (
    <time dateTime={at} title={clock(at)} suppressHydrationWarning>
      {ago(at)}
    </time>
  );
}
