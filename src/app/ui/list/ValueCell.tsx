import Typography from '@mui/material/Typography';
import { ShareBar } from '~/app/ui/parts';
import { Moment } from '~/app/ui/Moment';
import { percent } from '~/app/ui/format';
import type { Field, Line, Value } from '~/core/inventory/stock';
import { sizeInWords } from '~/core/naming/words';
import { visible } from '~/core/naming/visible';

/** A value of a line as its field is told. */
export function ValueCell({ value, field: { name, type } }: { readonly value: Value; readonly field: Field }) {
  if (value === null) return null;
  switch (type) {
    case 'truth':
      return value === true ? 'yes' : 'no';
    case 'share':
      return (
        <ShareBar role="img" aria-label={percent(Number(value))} title={percent(Number(value))}>
          {value !== 0 && <i style={{ width: `${Math.min(1, Number(value)) * 100}%` }} />}
        </ShareBar>
      );
    case 'number':
      return Number(value).toLocaleString('en-GB');
    case 'bytes':
      return sizeInWords(Number(value));
    case 'moment':
      return <Moment at={String(value)} />;
    case 'text':
      return (
        <Typography variant={spoken.has(name) ? 'inherit' : 'mono'} component="span" title={visible(String(value))}>
          {visible(String(value))}
        </Typography>
      );
  }
}

/** A cell of a list; where nothing is declared of a column's role, what the data says of it. */
export function LineCell({ values, field }: { readonly values: Line['values']; readonly field: Field }) {
  const value = values[field.name] ?? null;
  const seems = values['seems'] ?? null;
  if (field.name !== 'role' || seems === null) return <ValueCell value={value} field={field} />;
  return (
    <span title={`${value === null ? '' : `${String(value)}; `}${String(seems)}`}>
      {value !== null && `${String(value)}, `}
      <span className={String(seems).includes('orphan') ? 'rust' : 'brass'}>{visible(String(seems))}</span>
    </span>
  );
}

/** Fields of words; all others name things. */
const spoken: ReadonlySet<string> = new Set([
  'role',
  'seems',
  'kind',
  'comment',
  'filled',
  'how',
  'persistence',
  'deferrable',
  'may',
]);
