import { Empty } from '~/app/ui/parts';
/** Where the names of a kind will stand. */
export default function Nothing() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty style={{ marginTop: '20vh' }}>
        <h1>Choose a kind</h1>
        <p>Its names are shown as they are and as a template would call them, and another template can be tried on them.</p>
      </Empty>
    </aside>
  );
}
