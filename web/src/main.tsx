import { farmBase } from './api/farm';
import { onUnits } from './text/units';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { askAgain } from './api/problem';
import { sendCounts } from './cropcount/waitingCounts';
import { sendPractised } from './practice/sendPractised';
import { keepForNoSignal } from './field/keepForNoSignal';
import { sendAll } from './field/sendAll';
import { sendInBackground } from './field/sendInBackground';
import './index.css';
import { routes } from './routes';
import { language, onLanguage, setLanguage } from './text/language';

const queries = new QueryClient({
  defaultOptions: { queries: { retry: askAgain, refetchOnWindowFocus: false, staleTime: 10_000 } },
});

const router = createBrowserRouter(routes, { basename: farmBase || '/' });

setLanguage(language());
// what the server says comes in the language too
onLanguage(() => void queries.invalidateQueries());
onUnits(() => void queries.invalidateQueries());
keepForNoSignal();
sendInBackground([sendAll, sendCounts, sendPractised]);

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
