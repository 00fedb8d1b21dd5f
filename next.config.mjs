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
    // A studio builds once for each version: what would make a second build quicker is a fifth of the first, and 166 MB.
    turbopackFileSystemCacheForBuild: process.env.KEEP_BUILD === '1',
    // Pages stand ready before they are asked for. An app of the tests shows few of them before it is ended.
    preloadEntriesOnStart: process.env.TIDY_SPOOL_PRELOAD !== 'off',
  },
};

export default config;
