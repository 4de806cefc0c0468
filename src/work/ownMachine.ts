/** Whether an address is of this very machine, which nothing that is sent leaves. */
export function isOwnMachine({ hostname }: URL): boolean {
  return ['127.0.0.1', 'localhost', '[::1]'].includes(hostname);
}
