import { Empty } from '~/app/ui/parts';

export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty style={{ marginTop: '20vh' }}>
        <h1>Choose a change</h1>
        <p>What it was and is, which survey saw it, and what it did to the findings of its table.</p>
      </Empty>
    </aside>
  );
}
