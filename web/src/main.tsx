import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { startKeeping } from './state/autosave';
import { claimTab } from './state/pending';
import { startTheme } from './state/theme';
import './index.css';

startTheme();
const client = new QueryClient({
  defaultOptions: { queries: { retry: true, retryDelay: 1000 } },
});

void claimTab().then(() => {
  startKeeping();
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  );
});
