/** Something was to be written that an engine has no words for. */
export class DialectError extends Error {
  override readonly name = 'DialectError';
}
