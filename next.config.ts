import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['better-sqlite3', 'highs'],
  outputFileTracingRoot: import.meta.dirname,
  // `npm test` has tsc look at the types before it builds; who starts the demo hall need not wait for it again.
  typescript: { ignoreBuildErrors: true },
  // A browser that leaves a page before its head was read asks for this by itself.
  redirects: () => Promise.resolve([{ source: '/favicon.ico', destination: '/icon.svg', permanent: false }]),
  turbopack: { root: import.meta.dirname },
};
export default config;
