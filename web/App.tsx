import { QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { PageFault, PageWait, PairDevice } from './frame/index.ts';
import { queryClient, usePreferences, whenUnknownDevice } from './state/index.ts';
import { antdTheme } from './theme/index.ts';

/** Each page is loaded when it is first opened. */
const router = createBrowserRouter([
  {
    HydrateFallback: PageWait,
    ErrorBoundary: PageFault,
    children: [
      {
        path: '/',
        lazy: () => import('./bench/index.ts').then(({ BenchPage }) => ({ Component: BenchPage })),
      },
      {
        path: '/jobs/new',
        lazy: () => import('./bench/index.ts').then(({ DoorsPage }) => ({ Component: DoorsPage })),
      },
      {
        path: '/jobs/new/:kind',
        lazy: () => import('./card/index.ts').then(({ NewJobPage }) => ({ Component: NewJobPage })),
      },
      {
        path: '/jobs/:jobId/:partId?/:stationId?',
        lazy: () => import('./card/index.ts').then(({ CardPage }) => ({ Component: CardPage })),
      },
      {
        path: '/runs/:runId',
        lazy: () => import('./mill/index.ts').then(({ MillPage }) => ({ Component: MillPage })),
      },
      {
        path: '/chart',
        lazy: () => import('./tables/index.ts').then(({ ChartPage }) => ({ Component: ChartPage })),
      },
      {
        path: '/counts',
        lazy: () => import('./strip/index.ts').then(({ CountsPage }) => ({ Component: CountsPage })),
      },
      {
        path: '/shop/:table?',
        lazy: () => import('./shop/index.ts').then(({ ShopPage }) => ({ Component: ShopPage })),
      },
      {
        path: '/jobs/:jobId/:partId/table',
        lazy: () => import('./tables/index.ts').then(({ IndexingPage }) => ({ Component: IndexingPage })),
      },
      {
        path: '/log/:runId?',
        lazy: () => import('./log/index.ts').then(({ LogPage }) => ({ Component: LogPage })),
      },
      {
        path: '/jobs/:jobId/print',
        lazy: () => import('./print/index.ts').then(({ PrintPage }) => ({ Component: PrintPage })),
      },
      {
        path: '/practice/:jobId/:partId?',
        lazy: () => import('./practice/index.ts').then(({ PracticePage }) => ({ Component: PracticePage })),
      },
      {
        path: '/exercises',
        lazy: () =>
          import('./exercises/index.ts').then(({ ExercisesPage }) => ({ Component: ExercisesPage })),
      },
      {
        path: '/exercises/sheet',
        lazy: () => import('./exercises/index.ts').then(({ SheetPage }) => ({ Component: SheetPage })),
      },
      {
        path: '/classes',
        lazy: () => import('./exercises/index.ts').then(({ ClassesPage }) => ({ Component: ClassesPage })),
      },
      {
        path: '/classes/:key',
        lazy: () => import('./exercises/index.ts').then(({ ClassPage }) => ({ Component: ClassPage })),
      },
      {
        path: '/print',
        lazy: () => import('./print/index.ts').then(({ PrintPage }) => ({ Component: PrintPage })),
      },
      {
        path: '/devices',
        lazy: () => import('./devicesPage/index.ts').then(({ DevicesPage }) => ({ Component: DevicesPage })),
      },
      { path: '*', Component: PageFault },
    ],
  },
]);

export function App() {
  const shift = usePreferences((preferences) => preferences.shift);
  const singleKeys = usePreferences((preferences) => preferences.singleKeys);
  const theme = useMemo(() => antdTheme(shift), [shift]);
  useEffect(() => {
    document.documentElement.dataset['shift'] = shift;
  }, [shift]);
  useEffect(() => {
    document.documentElement.dataset['keys'] = singleKeys ? 'on' : 'off';
  }, [singleKeys]);
  const [unknown, setUnknown] = useState(false);
  useEffect(() => whenUnknownDevice(() => setUnknown(true)), []);
  return (
    <QueryClientProvider client={queryClient}>
      <ConfigProvider theme={theme}>
        {unknown ? <PairDevice /> : <RouterProvider router={router} />}
      </ConfigProvider>
    </QueryClientProvider>
  );
}
