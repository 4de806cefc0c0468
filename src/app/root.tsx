import '@fontsource-variable/atkinson-hyperlegible-mono/index.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import CssBaseline from '@mui/material/CssBaseline';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Links, Meta, Outlet, Scripts, ScrollRestoration } from 'react-router';
import type { Route } from './+types/root';
import './app.css';
import { passedContext } from './server/context.server';
import { office } from './server/office.server';
import { may } from '~/core/rights/rights';
import { listPersonSettings } from '~/store/people/settings';
import { theme } from './theme';
import { KeyHelp } from './ui/KeyHelp';
import { KeysProvider } from './ui/keys';
import { useNonce } from './ui/nonce';
import { ProblemPage } from './ui/ProblemPage';

export function Layout({ children }: { readonly children: ReactNode }) {
  const nonce = useNonce();
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta property="csp-nonce" nonce={nonce} />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <Meta />
        <Links nonce={nonce} />
      </head>
      <body>
        <InitColorSchemeScript attribute="data-color-scheme" nonce={nonce} />
        <ThemeProvider theme={theme} defaultMode="system">
          <CssBaseline enableColorScheme />
          <KeysProvider>
            {children}
            <KeyHelp />
          </KeysProvider>
        </ThemeProvider>
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

/** Who is signed in, and what of the whole they may see; null on the pages that lead in. */
export async function loader({ context }: Route.LoaderArgs) {
  const { actor } = context.get(passedContext);
  if (!actor?.person) return null;
  return {
    name: actor.person.fullName,
    kept: await listPersonSettings(office().store, actor.person.id),
    keepsPeople: may(actor.bounds, 'keepPeople', null),
    readsJournal: may(actor.bounds, 'readJournal', null),
  };
}

export function meta() {
  return [{ title: 'Pawl' }];
}

export default function Root() {
  return <Outlet />;
}

export { ProblemPage as ErrorBoundary };
