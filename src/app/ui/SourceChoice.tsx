import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface SourceChoiceProps {
  readonly label: string;
  /** What it is called to choose none of them. */
  readonly all: string;
  readonly sources: readonly { readonly id: number; readonly name: string }[];
}

/** One source, or all. */
export function SourceChoice({ label, all, sources }: SourceChoiceProps) {
  return (
    <TextField
      name="source"
      label={label}
      select
      defaultValue=""
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      <MenuItem value="">{all}</MenuItem>
      {sources.map(({ id, name }) => (
        <MenuItem key={id} value={String(id)}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
