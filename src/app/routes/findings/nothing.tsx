import { Empty } from '~/app/ui/parts';
export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty style={{ marginTop: '20vh' }}>
        <h1>Choose a finding</h1>
        <p>Its dossier says what is declared, what the data says, why it matters, and what can be done.</p>
      </Empty>
    </aside>
  );
}
