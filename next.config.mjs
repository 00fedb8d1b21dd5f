const isBuilt = process.env.NODE_ENV === 'production';

/** @type {import('next').NextConfig} Plain JavaScript, which a start need not translate first. */
const config = {
  poweredByHeader: false,
  reactStrictMode: true,
  typedRoutes: false,
  // Types are checked by ./test and npm run check, tests included; a studio's start need not wait for that.
  typescript: { ignoreBuildErrors: true },
  // Every reader gets a page's title with the page: one that comes later leaves a page without a name for a moment.
  htmlLimitedBots: /.*/,
  turbopack: { root: import.meta.dirname },
  experimental: {
    serverActions: { bodySizeLimit: '8mb' },
    // Maps of what is built are read by nobody, and are a sixth of the build.
    turbopackSourceMaps: !isBuilt,
    turbopackInputSourceMaps: !isBuilt,
    turbopackFileSystemCacheForBuild: false,
  },
};

export default config;
