import { Empty } from '~/app/ui/parts';
export default function NoRule() {
  return (
    <aside className="dossier" aria-label="Dossier">
      <Empty>
        <h1>Choose a rule</h1>
        <p>Each can be switched off for this source, count for more or less, and be told what it must leave alone, and why.</p>
      </Empty>
    </aside>
  );
}
