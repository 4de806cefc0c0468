import type { ReactNode } from 'react';

/** Below a list: its most useful keys, and how much it holds. */
export function Foot({ keys, children }: { readonly keys: Readonly<Record<string, string>>; readonly children: ReactNode }) {
  return (
    <div className="foot">
      {Object.entries({ ...keys, '?': 'all keys' }).map(([key, does]) => (
        <span key={key}>
          {key.split(' ').map((one) => (
            <kbd key={one}>{one}</kbd>
          ))}{' '}
          {does}
        </span>
      ))}
      <span className="end">{children}</span>
    </div>
  );
}
