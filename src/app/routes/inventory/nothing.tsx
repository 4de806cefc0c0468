/** Where a dossier will stand. */
export default function Nothing() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <p className="mute">Choose a line to see all that is known of it.</p>
    </aside>
  );
}
