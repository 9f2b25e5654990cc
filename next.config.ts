import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  serverExternalPackages: ['pdfkit', 'svg-to-pdfkit', 'pino', 'pg', 'piscina', 'rate-limiter-flexible'],
  sassOptions: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] },
  // Play is a bundle of its own (features/play/shell); the same page is the door of a personal link.
  rewrites: async () => ({
    beforeFiles: [
      ...['/play', '/j'].map((source) => ({ source, destination: '/shell/page.html' })),
      // Tools at the green are a page beside it.
      { source: '/play/tools', destination: '/shell/tools.html' },
    ],
  }),
  headers: async () => [
    {
      source: '/shell/:file((?:play|ahead|tools|landing)-.*)',
      headers: [{ key: 'Cache-Control', value: 'public, max-age=31536000, immutable' }],
    },
    {
      source: '/shell/worker.js',
      headers: [
        { key: 'Cache-Control', value: 'no-cache' },
        { key: 'Service-Worker-Allowed', value: '/' },
      ],
    },
    // What is no page shows nothing and runs nothing.
    { source: '/api/:path*', headers: [{ key: 'Content-Security-Policy', value: "default-src 'none'; frame-ancestors 'none'" }] },
    {
      source: '/:path*',
      headers: [
        { key: 'X-Content-Type-Options', value: 'nosniff' },
        { key: 'Referrer-Policy', value: 'same-origin' },
        { key: 'X-Frame-Options', value: 'DENY' },
        { key: 'Permissions-Policy', value: 'camera=(), microphone=(), geolocation=()' },
      ],
    },
  ],
};

export default config;
