import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

interface TogglesProps<Id extends string> {
  readonly label: string;
  readonly value: Id;
  readonly options: readonly (readonly [Id, string])[];
  readonly onChange: (id: Id) => void;
}

/** One of a few that are all in sight. */
export function Toggles<Id extends string>({ label, value, options, onChange }: TogglesProps<Id>) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={label}
      value={value}
      onChange={(_, next: Id | null) => next !== null && onChange(next)}
    >
      {options.map(([id, title]) => (
        <ToggleButton key={id} value={id}>
          {title}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
