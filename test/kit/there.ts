/** What a test takes to be there; without it the test is over. */
export function there<T>(value: T | null | undefined): T {
  if (value === null || value === undefined) throw new Error('It is not there.');
  return value;
}
