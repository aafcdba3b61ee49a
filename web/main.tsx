import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import 'antd/dist/reset.css';
import './theme/fonts.css';
import './theme/base.css';
import './theme/words.css';
import './theme/lists.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.tsx';
import { layTokens } from './theme/index.ts';

layTokens();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
