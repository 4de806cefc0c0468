import Typography from '@mui/material/Typography';
/** Where a dossier will stand. */
export default function Nothing() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Typography variant="mute" component="p">
        Choose a line to see all that is known of it.
      </Typography>
    </aside>
  );
}
