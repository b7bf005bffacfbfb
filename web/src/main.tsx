import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App';
import { startKeeping } from './state/keeper';
import { claimTab } from './state/pending';
import './index.css';

document.documentElement.dataset.theme = localStorage.getItem('roving-theme') ?? 'day';
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
