import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Field } from '~/sources/kind';

interface SettingFieldProps {
  readonly field: Field;
  readonly value: string | number | boolean | undefined;
  readonly id: string;
  readonly name: string;
  readonly error: boolean;
  readonly helperText: string | undefined;
}

/** One of the settings that a kind of source has. */
export function SettingField({ field: { label, input, usual }, value = usual, ...field }: SettingFieldProps) {
  if (typeof input !== 'string')
    return (
      <TextField {...field} label={label} select defaultValue={value}>
        {input.map((choice) => (
          <MenuItem key={choice.value} value={choice.value}>
            {choice.words}
          </MenuItem>
        ))}
      </TextField>
    );
  return (
    <TextField
      {...field}
      label={label}
      defaultValue={value}
      autoComplete="off"
      {...(input === 'number' && { slotProps: { htmlInput: { inputMode: 'numeric' } } })}
    />
  );
}
