import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import './look/base.css';
import { App } from './app/App.tsx';
import { keepApplication } from './app/newVersion.ts';
import { keepStorage } from './log/persist.ts';
import { startSender } from './log/sender.ts';
import { sendPhotos } from './log/photos.ts';
import { startHeldEnter } from './app/heldEnter.ts';
import { startWetGlass } from './app/wetGlass.ts';
import { startTheme } from './look/theme.ts';

startTheme();
startWetGlass();
startHeldEnter();
// What was taken before a reload and has not arrived yet.
void sendPhotos();
startSender();
void keepApplication();
void keepStorage();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
