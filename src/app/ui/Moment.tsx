import { ago, clock } from './format';
import { useZone } from './zone';

/** A moment as it is spoken of, with the exact time behind it. Server and browser may differ by a minute. */
export function Moment({ at }: { readonly at: string }) {
  const zone = useZone();
  return (
    <time dateTime={at} title={zone === null ? at : `${clock(at)} (${zone})`} suppressHydrationWarning>
      {ago(at)}
    </time>
  );
}

/** A moment by the clock of whoever looks, and which clock that is. */
export function Clock({ at }: { readonly at: string }) {
  const zone = useZone();
  return (
    <time dateTime={at} title={at}>
      {zone === null ? at : `${clock(at)} (${zone})`}
    </time>
  );
}
