import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import { styled } from '@mui/material/styles';

interface Card {
  readonly id: string;
  readonly title: string;
  readonly effect: string;
  readonly cost?: string;
  /** Why it cannot be chosen; null when it can. */
  readonly refused?: string | null;
}

interface CardsProps {
  readonly name: string;
  readonly label: string;
  readonly value: string;
  readonly cards: readonly Card[];
  readonly onChange?: (id: string) => void;
}

/** Answers side by side, each with what it means and what it costs. */
export function Cards({ name, label, value, cards, onChange }: CardsProps) {
  return (
    <RadioGroup
      name={name}
      value={value}
      aria-label={label}
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))', gap: 1 }}
      onChange={(event) => onChange?.(event.target.value)}
    >
      {cards.map(({ id, title, effect, cost, refused = null }) => (
        <Answer
          key={id}
          value={id}
          disabled={refused !== null}
          disableTypography
          sx={{ margin: 0, alignItems: 'flex-start' }}
          control={<Radio sx={{ position: 'absolute', opacity: 0, width: '1px', height: '1px', padding: 0 }} />}
          label={
            <span>
              <b>{title}</b>
              {effect}
              <span className={refused ? 'cost rust' : 'cost'}>{refused ?? cost}</span>
            </span>
          }
        />
      ))}
    </RadioGroup>
  );
}

/** An answer beside others, framed when it is taken. */
export const answerLook = {
  position: 'relative',
  display: 'block',
  overflowWrap: 'anywhere',
  border: '1px solid var(--mui-palette-divider)',
  borderRadius: 4,
  padding: '7px 9px',
  font: '12px/1.35 var(--text)',
  textAlign: 'left',
  color: 'var(--mui-palette-text-primary)',
  cursor: 'pointer',
  '& b': { display: 'block', fontSize: 13, overflowWrap: 'anywhere' },
  '&[aria-pressed="true"], &:has(input:checked)': {
    borderColor: 'var(--mui-palette-primary-main)',
    boxShadow: 'inset 0 0 0 1px var(--mui-palette-primary-main)',
    background: 'var(--mui-palette-primary-light)',
  },
} as const;

const Answer = styled(FormControlLabel)({
  ...answerLook,
  '&:has(input:focus-visible)': { outline: '2px solid var(--mui-palette-primary-main)', outlineOffset: 1 },
  '&:has(input:disabled)': {
    cursor: 'not-allowed',
    color: 'var(--mui-palette-text-secondary)',
    background: 'var(--mui-palette-background-default)',
  },
  '& .cost': { display: 'block', color: 'var(--mui-palette-text-secondary)' },
  '& .cost.rust': { color: 'var(--mui-palette-error-main)' },
});
