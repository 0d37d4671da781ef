import type { NextConfig } from 'next';

const config: NextConfig = {
  // calendars are read once and held for pages and routes, which are bundled apart: what they are made of must be one
  serverExternalPackages: ['better-sqlite3', 'ical.js'],
  // what is larger is cut off while it arrives; a calendar of 64 MB goes through, with its form around it
  experimental: {
    serverActions: { bodySizeLimit: '24mb' },
    proxyClientMaxBodySize: '65mb',
    // a first start builds once: what would make the next build quicker takes a third of this one
    turbopackFileSystemCacheForBuild: false,
    serverMinification: false,
  },
  devIndicators: false,
  // Types are checked by `npm run types`, once, over the whole project.
  typescript: { ignoreBuildErrors: true },
};

export default config;
