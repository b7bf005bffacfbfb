import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { startTheme } from './state/theme';

/** Puts the workbench in the place of what the page showed until now. */
export function begin(App: ComponentType): void {
  startTheme();
  const client = new QueryClient({
    defaultOptions: { queries: { retry: true, retryDelay: 1000 } },
  });
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  );
}
