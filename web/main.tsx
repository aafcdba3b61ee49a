import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import 'antd/dist/reset.css';
import './theme/fonts.css';
import './theme/base.css';
import './theme/words.css';
import './theme/lists.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { opensWithoutServer } from './state/index.ts';
import { layTokens } from './theme/index.ts';

layTokens();
// a browser that refuses opens the page from its server alone, as before
if (opensWithoutServer()) void navigator.serviceWorker.register('/sw.js').catch(() => {});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
