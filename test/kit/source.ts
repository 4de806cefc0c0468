import type { ConnectionDetails } from '../../src/sources/postgresql/details';
import type { NewSource } from '../../src/store/sources/sources';

type Given = ConnectionDetails &
  Pick<NewSource, 'name' | 'environment'> &
  Partial<Pick<NewSource, 'secondPerson' | 'fittingLogin' | 'sensitive'>>;

/** A source at a live server, as the store takes it. */
export function sourceAt(given: Given): NewSource {
  const { host, port, database, user, password, tls, weakPassword = false, ...more } = given;
  const settings = { host, port, database, user, tls, weakPassword };
  return { secondPerson: true, fittingLogin: false, sensitive: false, ...more, kind: 'postgresql', settings, secret: password };
}
