import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import './look/base.css';
import { App } from './app/App.tsx';
import { startSender } from './log/sender.ts';
import { sendPhotos } from './log/photos.ts';
import { startWetGlass } from './app/wetGlass.ts';
import { startTheme } from './look/theme.ts';

startTheme();
startWetGlass();
// What was taken before a reload and has not arrived yet.
void sendPhotos();
startSender();
// A service worker needs a secure context; without one the application works all the same, but not after a reload while away.
if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js').catch(() => undefined);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
