/** Whether a name stands anywhere in what an operation is to do: its checks and proofs will look for it. */
export function says(part: unknown, name: string): boolean {
  if (typeof part === 'string') return part === name;
  if (typeof part !== 'object' || part === null) return false;
  return Object.entries(part).some(([key, value]) => key !== 'kind' && says(value, name));
}
