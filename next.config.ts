import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  serverExternalPackages: ['better-sqlite3'],
  outputFileTracingRoot: import.meta.dirname,
  turbopack: { root: import.meta.dirname },
};
export default config;
