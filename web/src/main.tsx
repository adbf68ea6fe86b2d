import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/App';
import { listenToChanges } from './api/changes';
import { Refusal } from './api/client';
import './index.css';
import { loadRules } from './rules/rules';
import { keepRoom } from './room/room';
import { loadBench } from './benches/Bench';
import { useDesk } from './state/desk';
import { keepAddress } from './state/keepAddress';
import { askAhead } from './state/openings';
import { watchSpace } from './state/space';
import { watchShortened } from './ui/wholeText';

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // the server may be on this very machine: whether there is a network says nothing about it
      networkMode: 'always',
      refetchOnWindowFocus: false,
      // a refusal stays a refusal; only silence is worth asking again
      retry: (count, e) => count < 3 && (!(e instanceof Refusal) || e.status === 0 || e.status >= 500),
    },
  },
});

keepAddress();
keepRoom();
watchSpace();
watchShortened();
loadRules();
listenToChanges(queries);
{
  const { home, character, bench } = useDesk.getState();
  askAhead(queries, home ? null : character);
  if (!home && character !== null) loadBench(bench);
}
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <App />
    </QueryClientProvider>
  </StrictMode>,
);
