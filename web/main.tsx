import { tabClaimed } from './early';
import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import './theme/print.css';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient } from '@tanstack/react-query';
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { Refused } from './api/client';
import { takeFirm } from './api/firm';
import { takeStored } from './api/jobs';
import { loadMe, clearOtherPersonsData } from './api/me';
import { openOutbox } from './api/outbox';
import { keptFor_ms, persistOptions } from './api/persist';
import { loadViews, Pages } from './routes';
import { Trouble } from './shell/trouble';
import { applyMode } from './theme/color-mode';
import { system } from './theme/system';

applyMode();
const client = new QueryClient({
  defaultOptions: {
    // The server is on this machine or network: the browser's online state says nothing about it.
    queries: {
      staleTime: 30_000,
      gcTime: keptFor_ms,
      // Asked again, a refusal is the same.
      retry: (failures, error) => failures < 2 && !(error instanceof Refused),
      networkMode: 'always',
    },
    mutations: { retry: 0, networkMode: 'always' },
  },
});
await Promise.all([tabClaimed, clearOtherPersonsData()]);
void openOutbox(
  (stored) => {
    takeStored(client, stored);
  },
  (firm) => void takeFirm(client, firm),
);
// A customer's page does not ask who is signed in.
if (!location.pathname.startsWith('/offer/')) void loadMe();
// Without a service worker (a private window), pages are fetched each time.
if ('serviceWorker' in navigator && import.meta.env.PROD)
  navigator.serviceWorker.register('/sw.js').catch(() => undefined);
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
// Not awaited up here: the code of a view waits until this file has run.
void loadViews(location.pathname).then(() => {
  createRoot(root).render(
    <StrictMode>
      <ChakraProvider value={system}>
        <ErrorBoundary FallbackComponent={Trouble}>
          <PersistQueryClientProvider client={client} persistOptions={persistOptions}>
            <Pages />
          </PersistQueryClientProvider>
        </ErrorBoundary>
      </ChakraProvider>
    </StrictMode>,
  );
});
