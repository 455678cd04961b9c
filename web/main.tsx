import { tabClaimed } from './early';
import '@fontsource-variable/archivo/wdth.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import './theme/print.css';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { persistQueryClient, persistQueryClientSave } from '@tanstack/react-query-persist-client';
import { StrictMode, useEffect, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { ErrorBoundary } from 'react-error-boundary';
import { Refused } from './api/client';
import { takeFirm } from './api/firm';
import { takeStored } from './api/jobs';
import { loadMe, clearOtherPersonsData } from './api/me';
import { endOpening } from './opening/opened-with';
import { openOutbox } from './api/outbox';
import { keptFor_ms, persistOptions } from './api/persist';
import { fetchOpening } from './opening/fetch-opening';
import { loadViews, Pages } from './routes';
import { oncePainted } from './shell/lazy-part';
import { Trouble } from './shell/trouble';
import { system } from './theme/system';

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
const root = document.getElementById('root');
if (!root) throw new Error('the page has no root');
const persisted = { queryClient: client, ...persistOptions };
const [, restored] = persistQueryClient(persisted);
// It saves on changes after it has restored: what was fetched before would be kept only with the next change.
void restored.then(() => persistQueryClientSave(persisted)).catch(() => undefined);
const shown = [loadViews(location.pathname), fetchOpening(client, location.pathname, restored)];
// Not awaited up here: the code of a view waits until this file has run.
void Promise.all(shown).then(() => {
  createRoot(root).render(
    <StrictMode>
      <ChakraProvider value={system}>
        <ErrorBoundary FallbackComponent={Trouble}>
          <QueryClientProvider client={client}>
            <Opening>
              <Pages />
            </Opening>
          </QueryClientProvider>
        </ErrorBoundary>
      </ChakraProvider>
    </StrictMode>,
  );
});

/** Its effect runs after those of everything drawn first. */
function Opening({ children }: { children: ReactNode }) {
  useEffect(() => {
    endOpening();
    keepPages().catch(() => undefined);
  }, []);
  return children;
}

/**
 * Without a service worker, as in a private window, pages are fetched each time. It fetches all of them, so it comes last.
 */
const keepPages = oncePainted(async () => {
  if ('serviceWorker' in navigator && import.meta.env.PROD) await navigator.serviceWorker.register('/sw.js');
});
