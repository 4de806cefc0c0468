// Decisions as earlier versions stored them. Format 1 had JSON in the ids of answers.

import { columnsId, constraintId, tableId, type TableId } from '../catalogue/identifiers';
import type { Stored } from './stored';

/** `table`: of the finding that is decided about. */
export function upgradeDecision(stored: Stored, format: number, table: TableId): Stored {
  if (format >= 2) return stored;
  return Object.fromEntries(
    Object.entries(stored).map(([question, answer]) => [
      question,
      typeof answer === 'string' ? toSecond(question, answer, table) : answer,
    ]),
  );
}

function toSecond(question: string, answer: string, table: TableId): string {
  const parts = partsIn(answer.replace(/^natural /, ''));
  if (!parts) return answer;
  const [first, second] = parts;
  switch (question) {
    case 'key':
    case 'keyOrder':
      return columnsId('natural' as TableId, parts.map(String));
    case 'parent': {
      const { schema, table: name, columns } = second as { schema: string; table: string; columns: readonly string[] };
      return `${columnsId(tableId(schema, name), columns)} by ${(first as readonly string[]).join(', ')}`;
    }
    case 'nulls typed':
      return `${constraintId(table, String(first))} ${String(second)}`;
    default:
      return answer;
  }
}

function partsIn(text: string): readonly unknown[] | null {
  try {
    const parts: unknown = JSON.parse(text);
    return Array.isArray(parts) ? parts : null;
  } catch {
    return null;
  }
}
