// Decisions as earlier versions kept them. Format 1 had JSON in the ids of answers.

import { columnsId, constraintId, tableId, type TableId } from '../catalogue/identifiers';
import type { Kept } from './kept';

/** `table`: of the finding that is decided about. */
export function upgradeDecision(kept: Kept, format: number, table: TableId): Kept {
  if (format >= 2) return kept;
  return Object.fromEntries(
    Object.entries(kept).map(([question, answer]) => [
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
