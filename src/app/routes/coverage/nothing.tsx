export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <div className="empty" style={{ marginTop: '20vh' }}>
        <h1>Choose a table</h1>
        <p>Teeth show how bad its worst open finding is, the number how many there are. A thin line: nothing open.</p>
      </div>
    </aside>
  );
}
