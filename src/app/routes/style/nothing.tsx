/** Where the names of a kind will stand. */
export default function Nothing() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <div className="empty" style={{ marginTop: '20vh' }}>
        <h1>Choose a kind</h1>
        <p>Its names are shown as they are and as a template would call them, and another template can be tried on them.</p>
      </div>
    </aside>
  );
}
