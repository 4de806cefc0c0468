import { Empty } from '~/app/ui/parts';

export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty style={{ marginTop: '20vh' }}>
        <h1>Choose a waiver</h1>
        <p>What it leaves alone, why, and what has changed under it since.</p>
      </Empty>
    </aside>
  );
}
