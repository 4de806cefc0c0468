import { Empty } from '~/app/ui/parts';
export default function NothingChosen() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty style={{ marginTop: '20vh' }}>
        <h1>Choose a table</h1>
        <p>Teeth show how bad its worst open finding is, the number how many there are. A thin line: nothing open.</p>
      </Empty>
    </aside>
  );
}
