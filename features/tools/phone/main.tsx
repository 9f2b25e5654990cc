import '@/ui/without-eval';
import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme.scss';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { PhoneTools } from './phone-tools';

/** The tools at the green: a page of their own beside play, kept on the device by the same worker. */
createRoot(document.getElementById('tools')!).render(
  <StrictMode>
    <PhoneTools />
  </StrictMode>,
);
