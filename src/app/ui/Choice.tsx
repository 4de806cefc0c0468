import Select from '@mui/material/Select';
import { useSearchParams } from 'react-router';

/** One of a few values kept in the address; the empty one is left out of it. */
export function Choice({
  name,
  label,
  options,
}: {
  readonly name: string;
  readonly label: string;
  readonly options: readonly (readonly [string, string])[];
}) {
  const [params, setParams] = useSearchParams();
  return (
    <Select
      native
      size="small"
      inputProps={{ 'aria-label': label }}
      value={params.get(name) ?? ''}
      onChange={(event) => {
        const next = new URLSearchParams(params);
        if (event.target.value === '') next.delete(name);
        else next.set(name, event.target.value);
        setParams(next, { replace: true, preventScrollReset: true });
      }}
    >
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </Select>
  );
}
