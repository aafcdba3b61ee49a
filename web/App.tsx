import { QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { BrowserRouter, Route, Routes } from 'react-router';
import { NoSuchPage, PageGuard, PageWait } from './frame/index.ts';
import { queryClient, usePreferences, whenUnknownDevice } from './state/index.ts';
import { antdTheme } from './theme/index.ts';

/** Each page is loaded when it is first opened; the one before stands until then. */
const PAGES = [
  ['/', lazy(() => import('./bench/index.ts').then(({ BenchPage }) => ({ default: BenchPage })))],
  ['/jobs/new', lazy(() => import('./bench/index.ts').then(({ DoorsPage }) => ({ default: DoorsPage })))],
  [
    '/jobs/new/:kind',
    lazy(() => import('./card/index.ts').then(({ NewJobPage }) => ({ default: NewJobPage }))),
  ],
  [
    '/jobs/:jobId/:partId?/:stationId?',
    lazy(() => import('./card/index.ts').then(({ CardPage }) => ({ default: CardPage }))),
  ],
  ['/runs/:runId', lazy(() => import('./mill/index.ts').then(({ MillPage }) => ({ default: MillPage })))],
  ['/chart', lazy(() => import('./tables/index.ts').then(({ ChartPage }) => ({ default: ChartPage })))],
  ['/counts', lazy(() => import('./strip/index.ts').then(({ CountsPage }) => ({ default: CountsPage })))],
  ['/shop/:table?', lazy(() => import('./shop/index.ts').then(({ ShopPage }) => ({ default: ShopPage })))],
  [
    '/jobs/:jobId/:partId/table',
    lazy(() => import('./tables/index.ts').then(({ IndexingPage }) => ({ default: IndexingPage }))),
  ],
  ['/log/:runId?', lazy(() => import('./log/index.ts').then(({ LogPage }) => ({ default: LogPage })))],
  [
    '/jobs/:jobId/print',
    lazy(() => import('./print/index.ts').then(({ PrintPage }) => ({ default: PrintPage }))),
  ],
  [
    '/practice/:jobId/:partId?',
    lazy(() => import('./practice/index.ts').then(({ PracticePage }) => ({ default: PracticePage }))),
  ],
  [
    '/exercises',
    lazy(() => import('./exercises/index.ts').then(({ ExercisesPage }) => ({ default: ExercisesPage }))),
  ],
  [
    '/exercises/sheet',
    lazy(() => import('./exercises/index.ts').then(({ SheetPage }) => ({ default: SheetPage }))),
  ],
  [
    '/classes',
    lazy(() => import('./exercises/index.ts').then(({ ClassesPage }) => ({ default: ClassesPage }))),
  ],
  [
    '/classes/:key',
    lazy(() => import('./exercises/index.ts').then(({ ClassPage }) => ({ default: ClassPage }))),
  ],
  ['/print', lazy(() => import('./print/index.ts').then(({ PrintPage }) => ({ default: PrintPage })))],
  [
    '/devices',
    lazy(() => import('./devicesPage/index.ts').then(({ DevicesPage }) => ({ default: DevicesPage }))),
  ],
] as const;

const PairDevice = lazy(() =>
  import('./pairing/index.ts').then((module) => ({ default: module.PairDevice })),
);

function Pages() {
  return (
    <BrowserRouter>
      <PageGuard>
        <Suspense fallback={<PageWait />}>
          <Routes>
            {PAGES.map(([path, Page]) => (
              <Route key={path} path={path} element={<Page />} />
            ))}
            <Route path="*" element={<NoSuchPage />} />
          </Routes>
        </Suspense>
      </PageGuard>
    </BrowserRouter>
  );
}

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
        {unknown ? (
          <Suspense fallback={<PageWait />}>
            <PairDevice />
          </Suspense>
        ) : (
          <Pages />
        )}
      </ConfigProvider>
    </QueryClientProvider>
  );
}
