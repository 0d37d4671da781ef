import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['better-sqlite3'],
  experimental: { serverActions: { bodySizeLimit: '24mb' } },
  devIndicators: false,
  // Types are checked by `npm run types`, once, over the whole project.
  typescript: { ignoreBuildErrors: true },
};

export default config;
