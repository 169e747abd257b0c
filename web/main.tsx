import './theme.css';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { z } from 'zod';
import { App } from './app';
import { store } from './store';
import { startAutosave } from './store/autosave';
import { startTheme } from './ui/theme';

// The security policy forbids code made at run time, which Zod would otherwise try for speed.
z.config({ jitless: true });
startTheme();
startAutosave();
if ('serviceWorker' in navigator && import.meta.env.PROD)
  void navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);

createRoot(document.getElementById('root')!).render(
  <Provider store={store}>
    <App />
  </Provider>,
);
