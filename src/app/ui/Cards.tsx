import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';

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
        <FormControlLabel
          key={id}
          value={id}
          disabled={refused !== null}
          className="answer"
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
