import '@fontsource-variable/archivo/wdth.css';
import '@/ui/theme.scss';
import type { Metadata, Viewport } from 'next';

export const metadata: Metadata = {
  title: { default: 'Inch Game', template: '%s · Inch Game' },
  description: 'Design a short game, score every ball, see what costs strokes.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#16202a' };

export default function RootLayout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
