import { percent } from '~/app/ui/format';

interface FrequentProps {
  readonly values: readonly { readonly value: string; readonly share: number }[];
}

/** Values by how often they occur, as bars that can be read as numbers too. */
export function Frequent({ values }: FrequentProps) {
  const most = Math.max(...values.map(({ share }) => share));
  return (
    <div role="list" className="frequent">
      {values.map(({ value, share }) => (
        <div key={value} role="listitem">
          <span className="mono" title={value}>
            {value === '' ? <i className="mute">empty text</i> : value}
          </span>
          <span className="sharebar">
            <i style={{ width: `${(share / most) * 100}%` }} />
          </span>
          <span className="mono mute">
            {share < 0.1 ? `${(share * 100).toPrecision(share < 0.01 ? 1 : 2)} %` : percent(share)}
          </span>
        </div>
      ))}
    </div>
  );
}
