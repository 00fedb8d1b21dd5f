import type { NextConfig } from 'next';

const config: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  typedRoutes: false,
  turbopack: { root: import.meta.dirname },
  experimental: { serverActions: { bodySizeLimit: '8mb' } },
};

export default config;
