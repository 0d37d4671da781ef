import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3'],
  // what is larger is cut off while it arrives; a calendar of 64 MB goes through, with its form around it
  experimental: { serverActions: { bodySizeLimit: '24mb' }, proxyClientMaxBodySize: '65mb' },
  devIndicators: false,
  // Types are checked by `npm run types`, once, over the whole project.
  typescript: { ignoreBuildErrors: true },
};

export default config;
