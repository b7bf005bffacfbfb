import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { askSceneAhead } from './api/ahead';
import { claimTab } from './state/pending';
import { startTheme } from './state/theme';
import './index.css';

startTheme();
askSceneAhead();
const client = new QueryClient({
  defaultOptions: { queries: { retry: true, retryDelay: 1000 } },
});

// The core is much to load and to begin; what does not need it is under way meanwhile.
const workbench = Promise.all([import('./App'), import('./state/autosave')]);

void Promise.all([workbench, claimTab()]).then(([[{ App }, { startKeeping }]]) => {
  startKeeping();
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  );
});
