import Typography from '@mui/material/Typography';
/** A template with what is filled in set off from what is the same each time. */
export function TemplateText({ text }: { readonly text: string }) {
  return (
    <Typography variant="mono" className="strong">
      {text.split(/(\{[^}]*\}|[[\]])/).map((part, i) => (
        <span key={i} className={part.startsWith('{') ? 'verd' : part === '[' || part === ']' ? 'brass' : undefined}>
          {part}
        </span>
      ))}
    </Typography>
  );
}
