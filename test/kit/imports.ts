// Who imports whom in a folder, imports of types among them: what a reader has to hold in mind at once is a circle of either.

import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';

/** Each file, by its path within the folder and without `.ts`, with those that it imports; tests left out. `~` is the folder. */
export function importsIn(folder: string): ReadonlyMap<string, readonly string[]> {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.(test|d)\.ts$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name));
  const nameOf = (file: string): string => relative(folder, file).replace(/\.tsx?$/, '');
  const known = new Set(files.map(nameOf));
  return new Map(
    files.map((file) => [
      nameOf(file),
      ts
        .preProcessFile(readFileSync(file, 'utf8'))
        .importedFiles.filter(({ fileName }) => /^[.~]/.test(fileName))
        .map(({ fileName }) => nameOf(fileName.startsWith('~') ? join(folder, fileName.slice(2)) : join(dirname(file), fileName)))
        .filter((name) => known.has(name)),
    ]),
  );
}

/** Files that import each other, by whatever way round, largest circle first (R. Tarjan, Depth-First Search and Linear Graph Algorithms, 1972). */
export function circlesIn(imports: ReadonlyMap<string, readonly string[]>): readonly (readonly string[])[] {
  const circles: string[][] = [];
  const stack: string[] = [];
  const at = new Map<string, { index: number; low: number; open: boolean }>();
  const visit = (name: string): { index: number; low: number; open: boolean } => {
    const own = { index: at.size, low: at.size, open: true };
    at.set(name, own);
    stack.push(name);
    for (const next of imports.get(name) ?? []) {
      const known = at.get(next);
      if (!known) own.low = Math.min(own.low, visit(next).low);
      else if (known.open) own.low = Math.min(own.low, known.index);
    }
    if (own.low === own.index) {
      const circle = stack.splice(stack.indexOf(name));
      for (const member of circle) at.set(member, { index: 0, low: 0, open: false });
      if (circle.length > 1) circles.push(circle);
    }
    return own;
  };
  for (const name of imports.keys()) if (!at.has(name)) visit(name);
  return circles.sort((a, b) => b.length - a.length);
}
