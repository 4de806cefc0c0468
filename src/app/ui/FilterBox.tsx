import TextField from '@mui/material/TextField';
import Select from '@mui/material/Select';
import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/** A filter kept in the address under `q`; Escape leaves the field. */
export function FilterBox({ placeholder }: { readonly placeholder: string }) {
  const [params, setParams] = useSearchParams();
  const inUrl = params.get('q') ?? '';
  const input = useRef<HTMLInputElement>(null);
  // While somebody types, the field leads and the address follows; else the other way round.
  useEffect(() => {
    if (input.current && document.activeElement !== input.current) input.current.value = inUrl;
  }, [inUrl]);
  return (
    <TextField
      type="search"
      placeholder={`${placeholder}   /`}
      slotProps={{ htmlInput: { 'aria-label': placeholder } }}
      defaultValue={inUrl}
      inputRef={input}
      onChange={(event) => {
        const next = new URLSearchParams(params);
        if (event.target.value === '') next.delete('q');
        else next.set('q', event.target.value);
        setParams(next, { replace: true, preventScrollReset: true });
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' && event.key !== 'Enter') return;
        // The browser would empty the field.
        event.preventDefault();
        input.current?.blur();
      }}
    />
  );
}

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
