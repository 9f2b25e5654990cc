import '@/ui/without-eval';
import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme.scss';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { PlayApp } from '../play-app';

/** The page of play: one file for every session, which the service worker keeps on the device. */
createRoot(document.getElementById('play')!).render(
  <StrictMode>
    <PlayApp />
  </StrictMode>,
);

// Only over HTTPS and on 127.0.0.1; elsewhere play still keeps its balls, and needs the network to be opened.
if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/shell/worker.js', { scope: '/' }).catch(() => undefined);
