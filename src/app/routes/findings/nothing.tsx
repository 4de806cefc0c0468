export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <div className="empty" style={{ marginTop: '20vh' }}>
        <h1>Choose a finding</h1>
        <p>Its dossier says what is declared, what the data says, why it matters, and what can be done.</p>
      </div>
    </aside>
  );
}
