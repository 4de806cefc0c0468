/** Something was asked of a catalogue, or is to be done to it, that does not fit what is in it. */
export class CatalogueError extends Error {
  override readonly name = 'CatalogueError';
}
