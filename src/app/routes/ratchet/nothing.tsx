import { Empty } from '~/app/ui/parts';

export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty style={{ marginTop: '20vh' }}>
        <h1>Choose what slipped, or what is open</h1>
        <p>Its life is told here: when it was found, decided, mended and held, and what was counted of it.</p>
      </Empty>
    </aside>
  );
}
